import { RANGES } from '../../../api/generated/ranges';
import { makeEdit } from '../../../api/edits';
import type { Setup, SetupView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { NumberField } from '../../../ui/NumberField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The trims of the sticks. */
export function TrimFields({ setup, view, changes }: Props) {
  return (
    <section aria-labelledby="trims">
      <h2 id="trims" className="text-lg font-bold">
        Trims
      </h2>
      <div className="mt-1 flex flex-wrap items-end gap-4">
        {view.controls
          .filter((c) => c.kind === 'stick')
          .map((stick) => (
            <NumberField
              key={stick.id}
              label={`Trim of ${stick.name}`}
              unit="%"
              value={setup.model.trims?.[stick.id] ?? 0}
              {...RANGES['model.trims.*']}
              step={0.5}
              onCommit={(v) =>
                void changes.edit(
                  makeEdit(`Trim of ${stick.name} at ${v} %`, setup, [
                    { path: ['model', 'trims', stick.id], value: v === 0 ? undefined : v },
                  ]),
                )
              }
            />
          ))}
      </div>
    </section>
  );
}
