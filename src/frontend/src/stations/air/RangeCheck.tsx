import { useState } from 'react';
import { RANGES } from '../../api/generated/ranges';
import { makeEdit } from '../../api/edits';
import type { Setup } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { figure } from '../../ui/figures';
import { NumberField } from '../../ui/NumberField';

/** What a range check found, which says what the surroundings take of the reach in free space. */
export function RangeCheck({ setup, changes }: { setup: Setup; changes: Changes }) {
  const { allowance, warnBelow = 75 } = setup.air;
  const [quality, setQuality] = useState(warnBelow);
  const [metres, setMetres] = useState(100);
  const measured = allowance !== undefined && allowance !== null;
  return (
    <section aria-labelledby="range-check" className="mb-4">
      <h2 id="range-check" className="text-lg font-bold">
        {measured ? `The surroundings take ${figure(allowance, 1)} dB` : 'No range check yet'}
      </h2>
      <p className="mb-2 max-w-[75ch] text-soft">
        Walk away until fewer packets come, at the power that is set above, somebody holding the craft, propellers off.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label="There came"
          unit="% of packets"
          value={quality}
          {...RANGES['RangeCheckRequest.quality']}
          onCommit={setQuality}
        />
        <NumberField
          label="at a distance of"
          unit="m"
          value={metres}
          {...RANGES['RangeCheckRequest.metres']}
          onCommit={setMetres}
        />
        <Button onClick={() => void changes.putRangeCheck(quality, metres)}>Reckon with that</Button>
        {measured && (
          <Button
            onClick={() =>
              void changes.edit(makeEdit('No range check', setup, [{ path: ['air', 'allowance'], value: undefined }]))
            }
          >
            Forget it
          </Button>
        )}
      </div>
    </section>
  );
}
