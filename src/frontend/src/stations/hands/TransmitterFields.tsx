import { RANGES } from '../../api/generated/ranges';
import { useQuery } from '@tanstack/react-query';
import { Settings2 } from 'lucide-react';
import { makeEdit } from '../../api/edits';
import { transmittersQuery } from '../../api/queries';
import type { Setup, SetupView } from '../../api/types';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { ActionMenu } from '../../ui/ActionMenu';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Popup } from '../../ui/Popup';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What the transmitter itself can do: its scale, its limits and steps; and another shape to start from. */
export function TransmitterFields({ setup, view, changes }: Props) {
  const shapes = useQuery(transmittersQuery);
  const { transmitter } = setup;
  const put = (title: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['transmitter', member], value }]));
  return (
    <Popup
      label="Transmitter"
      trigger={
        <Button>
          <Settings2 size={15} aria-hidden /> Transmitter
        </Button>
      }
    >
      <LookAtDrafts changes={changes}>
        <div className="flex flex-wrap items-end gap-3">
          <TextField
            label="Name"
            value={transmitter.name}
            maxLength={40}
            width={16}
            onCommit={(v) => put(`Transmitter ${v}`, 'name', v)}
          />
          <SelectField
            label="Stick mode"
            value={String(transmitter.stickMode)}
            options={[1, 2, 3, 4].map((m) => ({ value: String(m), label: `mode ${m}` }))}
            onChange={(v) => put(`Stick mode ${v}`, 'stickMode', Number(v))}
          />
          <SelectField
            label="Scale: 100 % is"
            value={transmitter.scale}
            options={[
              { value: 'wide', label: 'wide: 512 µs' },
              { value: 'even', label: 'even: 500 µs' },
              { value: 'narrow', label: 'narrow: 400 µs' },
            ]}
            onChange={(v) => put(`Scale ${v}`, 'scale', v)}
          />
          <NumberField
            label="Channels"
            unit=""
            value={transmitter.channels}
            {...RANGES['transmitter.channels']}
            onCommit={(v) => put(`${v} channels`, 'channels', v)}
          />
          <NumberField
            label="Ends up to"
            unit="%"
            value={transmitter.travelLimit}
            {...RANGES['transmitter.travelLimit']}
            onCommit={(v) => put(`Ends up to ${v} %`, 'travelLimit', v)}
          />
          <NumberField
            label="in steps of"
            unit="%"
            value={transmitter.travelStep ?? 0.1}
            {...RANGES['transmitter.travelStep']}
            step={0.01}
            onCommit={(v) => put(`Steps of ${v} %`, 'travelStep', v)}
          />
          <NumberField
            label="Points of a curve"
            unit=""
            value={transmitter.curvePoints ?? 17}
            {...RANGES['transmitter.curvePoints']}
            onCommit={(v) => put(`Curves of ${v} points`, 'curvePoints', v)}
          />
          <NumberField
            label="Throttle stick is low below"
            unit="%"
            value={view.starts.throttleLow}
            {...RANGES['transmitter.throttleLow']}
            step={0.5}
            onCommit={(v) => put(`The throttle stick is low below ${v} %`, 'throttleLow', v)}
          />
          <NumberField
            label="Letters of a name, 0 any"
            unit=""
            value={transmitter.shortNames ?? 0}
            {...RANGES['transmitter.shortNames']}
            onCommit={(v) => put(`Names of ${v} letters`, 'shortNames', v)}
          />
        </div>
      </LookAtDrafts>
      <label className="flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-5 accent-sea"
          checked={transmitter.forcedPastEnds !== false}
          onChange={(event) => put('What overrides do at the ends', 'forcedPastEnds', event.target.checked)}
        />
        An override sends its value past the low and high ends
      </label>
      <ActionMenu
        trigger="Take another transmitter"
        actions={(shapes.data ?? []).map(({ id, name }) => ({ id, name }))}
        onChoose={(id) => {
          const shape = shapes.data?.find((t) => t.id === id);
          if (shape)
            void changes.edit(
              makeEdit(`Transmitter: ${shape.name}`, setup, [{ path: ['transmitter'], value: shape.transmitter }]),
            );
        }}
      />
      <p className="max-w-sm text-sm text-soft">
        A larger shape keeps everything working. A smaller one is refused while something still uses a control that it
        lacks.
      </p>
    </Popup>
  );
}
