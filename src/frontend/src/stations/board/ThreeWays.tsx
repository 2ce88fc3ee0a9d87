import type { StickAxis } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { figure } from '../air/figures';

/** What the model sends, the wire carries and the board shows of each axis, side by side. */
export function ThreeWays({ axes }: { axes: readonly StickAxis[] }) {
  const { bars, sent, received } = useBenchState((s) => ({
    bars: s.message?.snapshot.bars ?? {},
    sent: s.message?.snapshot.sent ?? [],
    received: s.message?.snapshot.received ?? [],
  }));
  return (
    <section aria-labelledby="three" className="mb-6">
      <h2 id="three" className="text-lg font-bold">
        The same channel at three places
      </h2>
      <table className="w-full max-w-3xl border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-[0.84rem] text-soft">
            <th className="py-1 font-semibold">Bar</th>
            <th className="font-semibold">Channel</th>
            <th className="text-right font-semibold">the model sends</th>
            <th className="text-right font-semibold">the wire carries</th>
            <th className="text-right font-semibold">the board shows</th>
          </tr>
        </thead>
        <tbody>
          {axes.map((axis) => {
            const bar = bars[axis];
            const place = (bar?.channel ?? 1) - 1;
            return (
              <tr key={axis} className="border-b border-hair">
                <th scope="row" className="py-1 text-left">
                  {axis}
                </th>
                <td>{place + 1}</td>
                {[sent[place], received[place], bar?.now].map((us, i) => (
                  <td key={i} className="text-right font-mono font-semibold">
                    {us === undefined ? '–' : figure(us, 1)} µs
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
