import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Grid3x3 } from 'lucide-react';
import { useState } from 'react';
import { answer, api } from '../../../api/client';
import type { AlarmMapView, ReplayRequest, ReplayView } from '../../../api/types';
import { EditButton } from '../../../edits/EditButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { AlarmMapGrid, type Place } from './AlarmMapGrid';
import { cellWords } from './cells';
import { useAlarmMap } from './useAlarmMap';

interface Props {
  id: string;
  asked: ReplayRequest & { alarm: string };
  alarm: ReplayView['alarms'][number];
  changes: Changes;
}

/** Every level and time that the alarm could have: how it would do on all flights, and the one that is recommended. */
export function AlarmMapPart({ id, asked, alarm, changes }: Props) {
  const { map, fresh, error, begin, end } = useAlarmMap(id, asked, `${alarm.level} ${alarm.wait}`);
  const ready = map?.best != null;
  return (
    <section aria-labelledby="alarm-map" className="mb-6">
      <h2 id="alarm-map" className="text-lg font-bold">
        What would do better
      </h2>
      <div className="my-1 flex flex-wrap items-center gap-3">
        {map?.works ? (
          <>
            <progress className="h-2 w-48 accent-sea" max={1} value={map.share} aria-label="Trying levels and times" />
            <span className="text-sm text-soft">{Math.round(map.share * 100)} % of the levels and times are tried</span>
            <Button onClick={end}>Stop</Button>
          </>
        ) : (
          <>
            <Button look={ready ? 'outline' : 'solid'} onClick={begin}>
              <Grid3x3 size={15} aria-hidden />
              {ready
                ? 'Try them again'
                : `Try 40 levels and 20 times on ${asked.flights.length === 1 ? 'the flight' : `all ${asked.flights.length} flights`}`}
            </Button>
            {ready && !fresh && (
              <span className="text-sm text-ochre">
                Flights, alarm or wishes are others since: this map is of before.
              </span>
            )}
          </>
        )}
      </div>
      {(error ?? map?.problem) && <Notice title={error?.message ?? map?.problem ?? ''} />}
      {ready && <Map key={map.id} id={id} map={map} alarm={alarm} changes={changes} />}
    </section>
  );
}

function Map({ id, map, alarm, changes }: Omit<Props, 'asked'> & { map: AlarmMapView }) {
  const best = map.best!;
  const [place, setPlace] = useState<Place>({ level: best.level, wait: best.wait });
  const cell = map.cells[place.level]![place.wait]!;
  const [level, wait] = [map.levels[place.level]!, map.waits[place.wait]!];
  const edit = useQuery({
    queryKey: ['setup', id, 'alarm-edit', alarm.id, level, wait],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/alarm-edit', {
          params: { path: { id } },
          body: { alarm: alarm.id, level, wait },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const isBest = place.level === best.level && place.wait === best.wait;
  return (
    <>
      <p className="max-w-[75ch]">{best.why}</p>
      <AlarmMapGrid map={map} alarm={alarm} place={place} onPlace={setPlace} />
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2" aria-live="polite">
        <p>
          <b>
            Below {level} {alarm.unit} for {wait / 1000} s
          </b>
          {isBest && ' (recommended)'}: {cellWords(cell)}
        </p>
        {edit.data && !edit.isPlaceholderData && edit.data.operations.length > 0 && (
          <EditButton edit={edit.data} first={isBest} label="Set it so" onTake={() => void changes.edit(edit.data)} />
        )}
        {edit.data && edit.data.operations.length === 0 && <span className="text-soft">It is set so.</span>}
        {!isBest && (
          <Button look="bare" onClick={() => setPlace({ level: best.level, wait: best.wait })}>
            To the recommended
          </Button>
        )}
      </div>
    </>
  );
}
