import { RANGES } from '../api/generated/ranges';
import { makeEdit } from '../api/edits';
import type { Setup } from '../api/types';
import { LookAtDrafts } from '../edits/LookAtDrafts';
import type { Changes } from '../edits/useChanges';
import { NumberField } from '../ui/NumberField';

interface Figure {
  label: string;
  unit: string;
  place: keyof typeof RANGES;
  usual: number;
  step: number;
}

const RESTART: Figure = {
  label: 'The transmitter restarts in at least',
  unit: 'ms',
  place: 'transmitter.restartTime',
  usual: 500,
  step: 100,
};

/** The figures that a promise is measured against, by its code. */
const FIGURES: Record<string, Figure[]> = {
  'loss-in-time': [
    {
      label: 'Begun within, after the last frame',
      unit: 'ms',
      place: 'limits.lossNoticedWithin',
      usual: 1000,
      step: 50,
    },
  ],
  'no-jump': [
    {
      label: 'The throttle grows by at most',
      unit: '% of its travel',
      place: 'limits.jumpShare',
      usual: 30,
      step: 1,
    },
    {
      label: 'while its stick moves by',
      unit: '% of its travel',
      place: 'limits.jumpWithin',
      usual: 5,
      step: 1,
    },
  ],
  'no-leap': [RESTART],
  'no-switch-adds-thrust': [RESTART],
};

const read = (setup: Setup, path: readonly string[]): unknown =>
  path.reduce<unknown>((part, key) => (part as Record<string, unknown> | undefined)?.[key], setup);

/** What the pilot sets for a promise: nothing for most. */
export function PromiseFigures({ code, setup, changes }: { code: string; setup: Setup; changes: Changes }) {
  const figures = FIGURES[code] ?? [];
  if (figures.length === 0) return null;
  return (
    <LookAtDrafts changes={changes}>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        {figures.map(({ label, unit, place, usual, step }) => (
          <NumberField
            key={label}
            label={label}
            unit={unit}
            value={(read(setup, place.split('.')) as number | undefined) ?? usual}
            {...RANGES[place]}
            step={step}
            onCommit={(value) =>
              void changes.edit(makeEdit(`${label} ${value} ${unit}`, setup, [{ path: place.split('.'), value }]))
            }
          />
        ))}
      </div>
    </LookAtDrafts>
  );
}
