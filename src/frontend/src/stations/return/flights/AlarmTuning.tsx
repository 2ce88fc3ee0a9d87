import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../../api/client';
import type { FlightView, HearingWay } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { Notice } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { SecondsField } from '../../../ui/SecondsField';
import { SelectField } from '../../../ui/SelectField';
import { AlarmMapPart } from './AlarmMapPart';
import { FlightChart, type Stretch } from './FlightChart';
import { ReplayWords } from './ReplayWords';

interface Props {
  id: string;
  flights: readonly FlightView[];
  /** The one that is drawn; null for none. */
  shown: FlightView | null;
  changes: Changes;
}

const WAYS: readonly { value: HearingWay; label: string }[] = [
  { value: 'by-rows', label: 'wherever its rows say' },
  { value: 'at-transmitter', label: 'the transmitter: all of it was heard' },
  { value: 'at-craft', label: 'the craft: telemetry brings it' },
];

/** What the pilot asks of an alarm; what is not said is the usual. */
type Wish = Partial<Record<'critical' | 'settle' | 'lead', number>>;

/** An alarm of the model on recorded flights: what it would have said, how it did, and what would do better. */
export function AlarmTuning({ id, flights, shown, changes }: Props) {
  const [alarm, setAlarm] = useState<string | null>(null);
  const [way, setWay] = useState<HearingWay>('by-rows');
  const [wishes, setWishes] = useState<Record<string, Wish>>({});
  // Of which flight which stretch is looked at.
  const [looked, setLooked] = useState<{ flight: string; stretch: Stretch | null } | null>(null);
  const own = wishes[alarm ?? ''] ?? {};
  const asked = {
    flights: flights.map((f) => f.id),
    way,
    alarm,
    critical: own.critical ?? null,
    settle: own.settle ?? null,
    lead: own.lead ?? null,
  };
  const replay = useQuery({
    queryKey: ['setup', id, 'replay', asked],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/setups/{id}/replay', { params: { path: { id } }, body: asked, signal })),
    placeholderData: keepPreviousData,
  });
  if (replay.error)
    return (
      <Notice title="The flights were not run">
        <p>{replay.error.message}</p>
      </Notice>
    );
  const view = replay.data;
  if (!view) return <p className="text-soft">The flights run…</p>;
  const chosen = view.alarms.find((a) => a.id === view.chosen);
  const flight = view.flights.find((f) => f.flight === shown?.id);
  const say = (wish: Wish) => setWishes({ ...wishes, [alarm ?? '']: { ...own, ...wish } });
  return (
    <>
      {chosen && view.wish ? (
        <div className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
          <SelectField
            label="Alarm"
            value={chosen.id}
            options={view.alarms.map((a) => ({ value: a.id, label: a.label }))}
            onChange={setAlarm}
          />
          <NumberField
            label="It is critical below"
            unit={chosen.unit}
            value={view.wish.critical}
            min={-1000}
            max={1000}
            step={0.01}
            onCommit={(critical) => say({ critical })}
          />
          <SecondsField
            label="It must warn before that by"
            value={view.wish.lead}
            min={0}
            max={3_600_000}
            onCommit={(lead) => say({ lead })}
          />
          <SecondsField
            label={chosen.ofBattery ? 'False if withdrawn after the load within' : 'False if it lasts no longer than'}
            value={view.wish.settle}
            min={0}
            max={600_000}
            onCommit={(settle) => say({ settle })}
          />
          <SelectField
            label="Recorded by"
            value={way}
            options={[...WAYS]}
            onChange={(value) => setWay(value as HearingWay)}
          />
        </div>
      ) : (
        <p className="mb-2 max-w-[75ch]">
          The model has no alarm of voltage, quality or strength that is spoken or forces a channel. Build one at Model,
          ready made; what else it says is shown below.
        </p>
      )}
      {flight && shown && (
        <>
          <ReplayWords flight={flight} onLook={(stretch) => setLooked({ flight: shown.id, stretch })} />
          <FlightChart
            flight={shown}
            replay={flight}
            alarm={chosen ?? null}
            looked={looked?.flight === shown.id ? looked.stretch : null}
            onLook={(stretch) => setLooked({ flight: shown.id, stretch })}
          />
        </>
      )}
      {chosen && (
        <AlarmMapPart key={chosen.id} id={id} asked={{ ...asked, alarm: chosen.id }} alarm={chosen} changes={changes} />
      )}
    </>
  );
}
