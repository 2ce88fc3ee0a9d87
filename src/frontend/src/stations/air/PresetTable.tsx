import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import type { Setup } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';
import { figure } from '../../ui/figures';

/** The presets that are worked out for a receiver that cannot fall silent, beside those that are written down. */
export function PresetTable({ id, setup, changes }: { id: string; setup: Setup; changes: Changes }) {
  const { data } = useQuery({
    queryKey: ['setup', id, 'presets', setup.board, setup.air, setup.wire, setup.model],
    queryFn: ({ signal }) => answer(api.GET('/api/setups/{id}/presets', { params: { path: { id } }, signal })),
    placeholderData: keepPreviousData,
  });
  if (!data) return null;
  const same = data.edit === null && data.problems.length === 0;
  return (
    <section aria-labelledby="presets" className="w-full">
      <h3 id="presets" className="font-bold">
        Presets that disarm and keep the throttle low
      </h3>
      <p className="mb-1 max-w-[75ch] text-sm text-soft">
        Silence is better where the receiver can: with presets the board sees good frames and never learns of the loss.
        Nobody promises that a receiver keeps them when it is bound anew: try the loss again then.
      </p>
      {data.problems.map((problem) => (
        <p key={problem} className="max-w-[75ch] font-semibold text-rust">
          {problem}
        </p>
      ))}
      <div className="overflow-x-auto">
        <table className="mb-2 text-left text-sm">
          <thead className="text-soft">
            <tr>
              <th className="pr-4 font-normal">Channel</th>
              <th className="pr-4 text-right font-normal">Preset</th>
              <th className="pr-4 text-right font-normal">In percent</th>
              <th className="pr-4 text-right font-normal max-md:hidden">On the wire</th>
              <th className="pr-4 text-right font-normal max-md:hidden">Now</th>
              <th className="font-normal">What it does</th>
            </tr>
          </thead>
          <tbody>
            {data.rows.map((row) => (
              <tr key={row.channel} className="border-t border-hair align-baseline">
                <td className="py-1 pr-4">
                  <b className="font-mono">{row.channel}</b> {row.label}
                </td>
                <td className="pr-4 text-right font-mono font-bold whitespace-nowrap">{figure(row.value, 1)} µs</td>
                <td className="pr-4 text-right font-mono whitespace-nowrap">{figure(row.share, 1)} %</td>
                <td className="pr-4 text-right font-mono max-md:hidden">{row.count}</td>
                <td className="pr-4 text-right font-mono whitespace-nowrap max-md:hidden">
                  {row.now === null ? 'last value' : `${figure(row.now, 1)} µs`}
                </td>
                <td className="min-w-48 max-md:min-w-28">
                  {row.why} {row.unmet.length > 0 && <span className="text-ochre">{row.unmet.join(' ')}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {data.armsAgain && (
        <p className="mb-2 max-w-[75ch] font-semibold text-ochre">
          With these the motors start again by themselves when the signal comes back, the arm switch on and the throttle
          low: the board has seen it off, and nobody has moved it. Put it off first.
        </p>
      )}
      {data.edit && (
        <EditButton
          edit={data.edit}
          label="Write these presets down"
          first
          onTake={() => void changes.edit(data.edit!)}
        />
      )}
      {same && <p className="text-sm text-soft">These are written down. Set them on the receiver too.</p>}
    </section>
  );
}
