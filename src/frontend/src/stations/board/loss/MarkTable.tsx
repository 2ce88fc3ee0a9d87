import type { LossTimeline } from '../../../api/types';
import { figure } from '../../../ui/figures';

/** Every mark of a loss: when at best and at worst, and where the craft is by then. */
export function MarkTable({ marks }: { marks: LossTimeline['marks'] }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full max-w-3xl text-left">
        <caption className="mb-1 text-left text-lg font-bold">Second by second</caption>
        <thead className="text-sm text-soft">
          <tr>
            <th className="pr-3 font-normal"> </th>
            <th className="pr-4 font-normal">After the last packet</th>
            <th className="pr-4 font-normal">What happens</th>
            <th className="pr-4 text-right font-normal">Far</th>
            <th className="text-right font-normal">High</th>
          </tr>
        </thead>
        <tbody>
          {marks.map((m, i) => (
            <tr key={i} className="border-t border-hair align-baseline">
              <td className="py-1 pr-3 font-mono font-bold">{i + 1}</td>
              <td className="pr-4 font-mono whitespace-nowrap max-md:pr-2 max-md:whitespace-normal">{m.when}</td>
              <td className="min-w-48 pr-4 max-md:min-w-0 max-md:pr-2">
                <b>{m.text}</b>
                {m.because && <span className="text-soft">, {m.because}</span>}
              </td>
              <td className="pr-4 text-right font-mono whitespace-nowrap">{m.away}</td>
              <td className="text-right font-mono whitespace-nowrap">{figure(m.high, 0)} m</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
