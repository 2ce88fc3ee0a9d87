import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { STATION_NAMES } from '../../api/stations';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const ORIGINS = { transmitter: 'transmitter', receiver: 'receiver', board: 'board' } as const;

/** What a search for sensors should find beside what it found, and what may be behind the difference. */
export function SearchPart({ id, setup, view, changes }: Props) {
  const { expected, simulated } = view.return;
  const [ticked, setTicked] = useState<readonly string[] | null>(null);
  const [others, setOthers] = useState(0);
  const [onUsb, setOnUsb] = useState(false);
  const read = useMutation({
    mutationFn: (text: string) => {
      const lines = text.split('\n').map((line) => line.replace(/\s+/g, ' '));
      return answer(api.POST('/api/setups/{id}/sensor-list', { params: { path: { id } }, body: { lines } }));
    },
    onSuccess: (list) => {
      setTicked(list.found);
      setOthers(list.others.length);
    },
  });
  const searching = setup.model.searching ?? false;
  const found = ticked ?? [];
  const reasons = useQuery({
    queryKey: ['setup', id, 'sensor-search', found, others, onUsb],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/sensor-search', {
          params: { path: { id } },
          body: { found: [...found], others, onUsb },
        }),
      ),
    enabled: ticked !== null,
  });
  return (
    <>
      <p className="mb-2 max-w-[75ch] text-soft">
        Connect the flight battery, propellers off, and let the transmitter search. Tick what it found; end the search
        when it finds no more.
      </p>
      <p className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-1">
        <Button
          onClick={() =>
            void changes.edit(
              makeEdit(searching ? 'The search is ended' : 'The transmitter searches for sensors', setup, [
                { path: ['model', 'searching'], value: !searching },
              ]),
            )
          }
        >
          {searching ? 'I have ended the search' : 'I have begun a search at my transmitter'}
        </Button>
        {searching && <b className="text-rust">It takes in whatever comes, until it is ended.</b>}
      </p>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <Button onClick={() => setTicked([...simulated])}>Search on the bench</Button>
        <Button onClick={() => setTicked([])}>It found nothing</Button>
        <NumberField label="Found besides" unit="others" value={others} min={0} max={100} onCommit={setOthers} />
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-sea"
            checked={onUsb}
            onChange={(event) => setOnUsb(event.target.checked)}
          />
          power from USB alone
        </label>
      </div>
      <details className="mb-3 max-w-3xl">
        <summary className="target min-h-8 cursor-pointer font-semibold">Type or paste what it lists</summary>
        <form
          className="mt-1 flex flex-col items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            read.mutate(new FormData(event.currentTarget).get('list') as string);
          }}
        >
          <label className="flex w-full flex-col gap-0.5 text-sm text-soft">
            One sensor a line
            <textarea
              name="list"
              rows={5}
              maxLength={20_000}
              className="rounded border border-edge bg-sheet p-2 font-mono text-base text-ink"
            />
          </label>
          <Button type="submit" look="solid">
            Read the list
          </Button>
        </form>
        <p role="status" className="mt-1">
          {read.data &&
            `${read.data.found.length} of these should be there${read.data.others.length > 0 ? `; not known here: ${read.data.others.join(', ')}` : ''}.`}
          {read.error && <b className="text-rust">{read.error.message}</b>}
        </p>
      </details>
      <ul className="max-w-3xl">
        {expected.map((sensor) => (
          <li key={sensor.key} className="border-b border-hair">
            <label className="flex min-h-10 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-sea"
                checked={found.includes(sensor.key)}
                onChange={(event) =>
                  setTicked(event.target.checked ? [...found, sensor.key] : found.filter((k) => k !== sensor.key))
                }
              />
              <span className="flex-1">
                {sensor.words} <small className="text-soft">by the {ORIGINS[sensor.origin]}</small>
              </span>
              <span className="text-sm text-soft">
                {sensor.sensors.length > 0
                  ? `read as ${sensor.sensors.map((s) => setup.model.sensors?.[s]?.label ?? s).join(', ')}`
                  : 'read by no sensor of the model'}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <section aria-labelledby="reasons" aria-live="polite" className="mt-4 max-w-3xl">
        {ticked !== null && reasons.data && (
          <>
            <h2 id="reasons" className="text-lg font-bold">
              {reasons.data.length === 0
                ? 'All that should be there was found'
                : `Found ${found.length} of ${expected.length}: what may be behind it, the likeliest first`}
            </h2>
            <ol className="list-decimal pl-6">
              {reasons.data.map((reason) => (
                <li key={reason.words} className="py-1">
                  {reason.words}{' '}
                  <Link className="font-semibold whitespace-nowrap underline" to={`/craft/${id}/${reason.station}`}>
                    {STATION_NAMES[reason.station]}
                  </Link>
                </li>
              ))}
            </ol>
          </>
        )}
      </section>
    </>
  );
}
