import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Link } from 'react-router';
import { auxName } from '../../api/aux';
import { answer, api, ProblemError } from '../../api/client';
import type { BoardReadings, MeasuredChannel, Station } from '../../api/types';
import { STATION_NAMES } from '../../api/stations';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { figure } from '../../ui/figures';
import { RecordWire } from './RecordWire';
import { useMeasured } from './useMeasured';
import { useWire } from './useWire';

const NOTHING: BoardReadings = { wiggles: [], sweeps: {}, positions: [] };

/** What the model plans beside a recording of the real wire and what was read off the real board, place by place. */
export function PlanComparison({ id }: { id: string }) {
  const measured = useMeasured(id);
  const { wire, choose, forget } = useWire(id);
  const { sticks, switches } = measured;
  // What was computed from a recording tells nothing of the board.
  const readings: BoardReadings = {
    ...(sticks.from === 'wire' ? NOTHING : measured.readings),
    positions: switches.from === 'wire' ? [] : measured.readings.positions,
  };
  const read = readings.wiggles.length + Object.keys(readings.sweeps).length + readings.positions.length;
  const { data, error } = useQuery({
    queryKey: ['setup', id, 'plan-comparison', wire?.capture, readings],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/plan-comparison', {
          params: { path: { id }, query: wire ? { capture: wire.capture } : {} },
          body: readings,
        }),
      ),
    retry: false,
  });
  const parted = data?.channels.filter((c) => c.parts) ?? [];
  return (
    <section aria-labelledby="own" className="mb-6">
      <h2 id="own" className="text-lg font-bold">
        Your craft beside its plan
      </h2>
      <dl className="mb-3 grid max-w-4xl gap-x-4 gap-y-2 border-y border-hair py-2 sm:grid-cols-[7rem_1fr]">
        <dt className="font-semibold">Wire</dt>
        <dd>
          {wire ? (
            <span className="flex flex-wrap items-center gap-x-3">
              {wire.name || 'A recording of the simulated receiver'}
              <Button onClick={forget}>Another recording</Button>
            </span>
          ) : (
            <RecordWire reads={choose.isPending} onChoose={choose.mutate} />
          )}
          {choose.error && <Notice title={choose.error.message} />}
        </dd>
        <dt className="font-semibold">Board</dt>
        <dd className="flex flex-wrap items-center gap-x-3">
          {read === 0 ? 'Nothing is read off the board yet.' : `${read} readings`}
          {read > 0 && measured.simulated && ' of the simulated board'}
          <Link className="underline" to="?part=measure">
            Measure
          </Link>
        </dd>
      </dl>
      {error && (
        <Notice title={error instanceof ProblemError && error.status === 404 ? 'The recording is gone' : 'No answer'}>
          <p>{error.message}</p>
        </Notice>
      )}
      {read > 0 && (measured.sticksStand.changed || measured.switchesStand.changed) && (
        <div className="mb-2">
          <Notice title="The board was read before something on the way was changed">
            <p>Where it is compared with the plan as it is now, the change shows as well. Measure again.</p>
          </Notice>
        </div>
      )}
      {data?.problem && (
        <div className="mb-2">
          <Notice title="The recording does not tell everything">
            <p>{data.problem}</p>
          </Notice>
        </div>
      )}
      {data && !error && (
        <>
          <p className="mb-1" aria-live="polite">
            {!wire && read === 0
              ? 'Record the wire, read the board, or both: each is put beside what the model plans.'
              : parted.length === 0
                ? 'Nothing that was measured is otherwise than planned.'
                : `${parted.length} of ${data.channels.length} channels ${parted.length === 1 ? 'is' : 'are'} not as planned.`}
          </p>
          <Table channels={data.channels} />
        </>
      )}
    </section>
  );
}

function Table({ channels }: { channels: readonly MeasuredChannel[] }) {
  return (
    <div className="-mx-1 overflow-x-auto px-1">
      <table className="w-full max-w-5xl border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-right text-[0.84rem] text-soft">
            <th className="py-1 pr-3 text-left font-semibold max-sm:hidden">Channel</th>
            <th className="pr-3 text-left font-semibold">At</th>
            <th className="pr-3 font-semibold">Model plans</th>
            <th className="pr-3 font-semibold">Wire carries</th>
            <th className="pr-3 font-semibold">Board shows</th>
            <th className="w-2/5 pl-3 text-left font-semibold max-lg:hidden">Parts at</th>
          </tr>
        </thead>
        {channels.map((channel) => (
          <ChannelRows key={channel.channel} channel={channel} />
        ))}
      </table>
    </div>
  );
}

/** The places of a channel, one under the other. On a narrow page its name stands above them, and what happens below. */
function ChannelRows({ channel }: { channel: MeasuredChannel }) {
  const { points } = channel;
  const rows = Math.max(1, points.length);
  const seen = points.some((p) => p.wire !== null || p.board !== null);
  const name = (
    <>
      <b>{channel.channel}</b>
      <span className="ml-2 text-[0.8rem] text-soft">{auxName(channel.channel)}</span>
      <span className="text-[0.84rem] font-normal text-soft max-sm:ml-2 sm:block">{channel.carries}</span>
    </>
  );
  const why = (
    <>
      {seen && !channel.why && <span className="text-moss">as planned</span>}
      {channel.parts && <b className="text-rust">{PARTS_AT[channel.parts] ?? STATION_NAMES[channel.parts]}: </b>}
      <span className={channel.parts ? '' : 'text-soft'}>{channel.why}</span>
    </>
  );
  return (
    <tbody
      aria-label={`Channel ${channel.channel}`}
      className={clsx('border-b border-hair align-top text-right', channel.parts && 'bg-rust-wash')}
    >
      <tr className="text-left sm:hidden">
        <th scope="rowgroup" colSpan={4} className="pt-1">
          {name}
        </th>
      </tr>
      {(points.length > 0 ? points : [null]).map((point, i) => (
        <tr key={point?.name ?? ''}>
          {i === 0 && (
            <th scope="rowgroup" rowSpan={rows} className="py-1 pr-3 text-left max-sm:hidden">
              {name}
            </th>
          )}
          <th scope="row" className="py-0.5 pr-3 text-left text-[0.9rem] font-normal">
            {point?.name}
          </th>
          <Value us={point?.model ?? null} apart={false} />
          <Value us={point?.wire ?? null} apart={point?.parts === 'air'} />
          <Value us={point?.board ?? null} apart={point?.parts === 'board'} />
          {i === 0 && (
            <td rowSpan={rows} className="py-1 pl-3 text-left text-[0.9rem] max-lg:hidden">
              {why}
            </td>
          )}
        </tr>
      ))}
      {channel.why && (
        <tr className="text-left text-[0.9rem] lg:hidden">
          <td className="max-sm:hidden" />
          <td colSpan={4} className="pb-1">
            {why}
          </td>
        </tr>
      )}
    </tbody>
  );
}

/** Where the way from the model to the wire is at fault, no recording of the wire can tell. */
const PARTS_AT: Partial<Record<Station, string>> = { air: 'Transmitter or link', board: 'Board' };

function Value({ us, apart }: { us: number | null; apart: boolean }) {
  return (
    <td className={clsx('py-0.5 pr-3 font-mono text-[0.95rem] whitespace-nowrap', apart && 'font-bold text-rust')}>
      {us === null ? '–' : `${figure(us, 0)} µs`}
    </td>
  );
}
