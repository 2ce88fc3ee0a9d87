import { useMutation } from '@tanstack/react-query';
import { Volume2 } from 'lucide-react';
import { useState } from 'react';
import { answer, api } from '../../../api/client';
import type { AlarmView, Setup, SetupView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { figure } from '../../../ui/figures';
import { AtTheTransmitter } from './AtTheTransmitter';
import { BenchTest } from './BenchTest';

interface Props {
  craft: string;
  alarm: AlarmView;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** An alarm: what it asks, what is read now, and the two ways to hear it. */
export function AlarmRow({ craft, alarm, setup, view, changes }: Props) {
  const raised = setup.model.raised?.[alarm.id] ?? null;
  const [trying, setTrying] = useState(false);
  const test = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/alarms/{alarm}/bench-test', { params: { path: { id: craft, alarm: alarm.id } } }),
      ),
  });
  const running = useBenchState(({ message }) =>
    message?.test?.state === 'raised' || message?.test?.state === 'heard' ? message.test.alarm : null,
  );
  return (
    <li className="border-b border-line py-3">
      <div className="grid grid-cols-[8.5rem_minmax(0,1fr)_auto] items-start gap-x-5 gap-y-1 max-sm:grid-cols-1">
        <div>
          <h2 className="leading-tight font-bold wrap-anywhere">{alarm.label}</h2>
          <p className="font-mono text-[1.35rem] leading-tight font-extrabold">
            {figure(alarm.level, 2)} <small className="text-[0.65em] font-semibold">{alarm.unit}</small>
          </p>
        </div>
        <p className="max-w-[70ch] pt-0.5 first-letter:uppercase">
          {view.conditions[alarm.id]?.sentence}.{' '}
          <span className="text-soft">
            {alarm.sensor} reads <Reads sensor={alarm.sensorId} /> on the bench.
          </span>
        </p>
        <div className="flex flex-wrap items-center gap-1.5">
          <Button look="solid" disabled={running !== null} onClick={() => test.mutate()}>
            <Volume2 size={15} aria-hidden /> Hear it on the bench
          </Button>
          <Button
            aria-expanded={trying || raised !== null}
            disabled={raised !== null}
            onClick={() => setTrying(!trying)}
          >
            At my transmitter
          </Button>
        </div>
      </div>
      {test.error ? (
        <p role="alert" className="mt-2 max-w-[80ch] rounded border border-ochre bg-ochre-wash p-2.5">
          {test.error.message}
        </p>
      ) : (
        <BenchTest alarm={alarm} />
      )}
      {(trying || raised !== null) && (
        <AtTheTransmitter
          craft={craft}
          alarm={alarm}
          raised={raised}
          said={Object.entries(setup.model.announcements ?? {})
            .filter(([, made]) => made.when === alarm.id && made.enabled !== false)
            .map(([id]) => id)}
          changes={changes}
          onDone={() => setTrying(false)}
        />
      )}
    </li>
  );
}

function Reads({ sensor }: { sensor: string }) {
  const words = useBenchState((s) => s.message?.snapshot.sensors[sensor]?.words ?? null);
  return <b className="font-mono text-ink">{words ?? '–'}</b>;
}
