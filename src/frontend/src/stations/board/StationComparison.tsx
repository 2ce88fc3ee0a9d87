import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Fragment } from 'react';
import { auxName } from '../../api/aux';
import { answer, api } from '../../api/client';
import type { Station } from '../../api/types';
import { STATION_NAMES } from '../../api/stations';
import { figure } from '../../ui/figures';

/** So often the three places are looked at again, in milliseconds. */
const LOOK_AGAIN = 500;

/** What the model sends, the wire carries and the board shows of each channel, side by side, and where the three first part. */
export function StationComparison({ id }: { id: string }) {
  const { data: channels = [] } = useQuery({
    queryKey: ['setup', id, 'station-comparison'],
    queryFn: () => answer(api.GET('/api/setups/{id}/station-comparison', { params: { path: { id } } })),
    refetchInterval: LOOK_AGAIN,
  });
  const parted = channels.filter((c) => c.parts);
  return (
    <section aria-labelledby="three" className="mb-6">
      <h2 id="three" className="text-lg font-bold">
        The same channel at three places
      </h2>
      <p className="mb-1 text-soft">
        {parted.length === 0
          ? 'Model, wire and board agree on every channel.'
          : `${parted.length} of ${channels.length} channels do not arrive as they are sent.`}
      </p>
      <div className="-mx-1 overflow-x-auto px-1">
        <table className="w-full max-w-5xl border-collapse">
          <thead>
            <tr className="border-b-2 border-ink text-left text-[0.84rem] text-soft">
              <th className="py-1 pr-3 font-semibold">Channel</th>
              <th className="pr-3 text-right font-semibold">Model says</th>
              <th className="pr-3 text-right font-semibold">Wire carries</th>
              <th className="pr-3 text-right font-semibold">Board shows</th>
              <th className="pl-3 font-semibold max-sm:hidden">Parts at</th>
            </tr>
          </thead>
          <tbody>
            {channels.map((c) => (
              <Fragment key={c.channel}>
                <tr
                  className={clsx('align-top', c.parts ? 'bg-rust-wash max-sm:border-0' : '', 'border-b border-hair')}
                >
                  <th scope="row" className="py-1 pr-3 text-left whitespace-nowrap">
                    {c.channel}
                    <span className="text-[0.8rem] text-soft max-sm:block sm:ml-2">{auxName(c.channel)}</span>
                  </th>
                  <Value us={c.model} of={c.carries || 'nothing'} apart={false} />
                  <Value us={c.wire} of="" apart={c.parts === 'air' || c.parts === 'wire'} />
                  <Value us={c.board} of={c.shown || 'unwatched'} apart={c.parts === 'board'} />
                  <td className="py-1 pl-3 max-sm:hidden">
                    <Parting parts={c.parts} why={c.why} />
                  </td>
                </tr>
                {c.parts && (
                  <tr className="border-b border-hair bg-rust-wash sm:hidden">
                    <td colSpan={4} className="pb-1">
                      <Parting parts={c.parts} why={c.why} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Parting({ parts, why }: { parts: Station | null; why: string }) {
  if (!parts) return <span className="text-moss">agrees</span>;
  return (
    <>
      <b className="text-rust">{STATION_NAMES[parts]}</b> <span>{why}</span>
    </>
  );
}

function Value({ us, of, apart }: { us: number | null; of: string; apart: boolean }) {
  return (
    <td className={clsx('py-1 pr-3 text-right', apart && 'text-rust')}>
      <b className="font-mono whitespace-nowrap">{us === null ? '–' : `${figure(us, 1)} µs`}</b>
      {of && <span className="block text-[0.84rem] text-soft">{of}</span>}
    </td>
  );
}
