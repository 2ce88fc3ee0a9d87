import { ShieldAlert } from 'lucide-react';
import type { SetupView } from '../../api/types';

/** What the radio must warn about when it is switched on, and what it may leave out. */
export function PowerOnCheck({ items }: { items: SetupView['powerOn'] }) {
  const warned = items.filter((i) => i.warns);
  const left = items.filter((i) => !i.warns);
  return (
    <section aria-labelledby="power-on" className="mb-4 rounded border border-line bg-sheet p-3">
      <h2 id="power-on" className="flex items-center gap-2 font-bold">
        <ShieldAlert size={18} aria-hidden /> Power-on check: store these positions in the transmitter
      </h2>
      <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {warned.map((item) => (
          <li key={item.control}>
            <b>{item.name}</b> {item.wanted}{' '}
            <span className="text-[0.87rem] text-soft">
              {item.reason}
              {!item.startFits && <b className="text-rust"> It does not start there.</b>}
            </span>
          </li>
        ))}
      </ul>
      <details className="mt-1 text-[0.93rem]">
        <summary className="cursor-pointer text-soft">{left.length} controls are left out</summary>
        <ul className="mt-1 columns-2 gap-6 max-md:columns-1">
          {left.map((item) => (
            <li key={item.control} className="break-inside-avoid">
              <b>{item.name}</b> <span className="text-soft">{item.reason}</span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
