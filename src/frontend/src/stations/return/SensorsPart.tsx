import { Plus, RotateCcw } from 'lucide-react';
import { useState } from 'react';
import { freeId, makeEdit } from '../../api/edits';
import { listed } from '../../api/listed';
import type { Setup, SetupView } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { figure } from '../../ui/figures';
import { EquipmentRow } from './EquipmentRow';
import { SensorRow } from './SensorRow';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What each message of the board brings, in words. */
const MESSAGES = {
  link: 'the link',
  state: 'what it does',
  battery: 'the battery',
  height: 'the height',
  position: 'the position',
} as const;

/** Everything that comes back: what the transmitter heard of it, how old that is, and why something does not come. */
export function SensorsPart({ id, setup, view, changes }: Props) {
  const { link } = useBench();
  const missed = useBenchState((s) => s.message?.snapshot.telemetryLost ?? false);
  const [open, setOpen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const sensors = listed(setup.model.sensors);
  const { interval, boardMessages } = view.return;
  const seconds = (ms: number) => `${figure(ms / 1000, 2)} s`;
  return (
    <>
      <p className="mb-2 max-w-[80ch] text-soft">
        {setup.air.telemetry === false
          ? 'This link brings no telemetry.'
          : `A packet comes down every ${seconds(interval)}. Each brings what the receiver measures of the link`}
        {setup.air.telemetry !== false &&
          (boardMessages.length > 1
            ? ` and one message of the board: ${boardMessages.map((m) => MESSAGES[m]).join(', ')}, in turn.`
            : boardMessages.length === 1
              ? ' and what the board does.'
              : '.')}
        {missed && (
          <b className="text-rust">
            {' '}
            The transmitter misses telemetry: link or battery is off, or packets do not come.
          </b>
        )}
      </p>
      <EquipmentRow setup={setup} changes={changes} />
      <ul>
        {sensors.map(([sensor, made]) => (
          <SensorRow
            key={sensor}
            craft={id}
            id={sensor}
            sensor={made}
            setup={setup}
            way={view.return.sensors[sensor]}
            measures={view.return.measures[sensor] ?? ''}
            units={view.return.units[sensor] ?? []}
            changes={changes}
            open={open === sensor}
            made={fresh === sensor}
            onOpen={(now) => setOpen(now ? sensor : null)}
          />
        ))}
      </ul>
      {sensors.length === 0 && <p className="py-2">The model knows no sensor yet. A search finds what comes.</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button
          onClick={() => {
            const made = freeId('sensor', setup.model.sensors ?? {});
            void changes.edit(
              makeEdit('Add a sensor', setup, [
                {
                  path: ['model', 'sensors', made],
                  value: { label: 'New sensor', unit: '', lowest: 0, highest: 100, bench: 50 },
                },
              ]),
            );
            setOpen(made);
            setFresh(made);
          }}
        >
          <Plus size={15} aria-hidden /> Sensor
        </Button>
        <Button onClick={() => link.resetExtremes()}>
          <RotateCcw size={15} aria-hidden /> Lowest and highest from now
        </Button>
      </div>
    </>
  );
}
