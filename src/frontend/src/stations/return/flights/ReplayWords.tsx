import { CircleAlert, CircleCheck, CircleHelp } from 'lucide-react';
import type { ReplayedFlight } from '../../../api/types';
import { flightTime, span } from './times';

/** So much is shown before and after, in seconds. */
const AROUND = 8;

/** How an alarm did on a flight, when it held, and all that would have been spoken. */
export function ReplayWords({
  flight,
  onLook,
}: {
  flight: ReplayedFlight;
  /** Looks closer at a stretch, in seconds. */ onLook: (stretch: { from: number; to: number }) => void;
}) {
  // Where nothing was to be warned of it is not known whether that would come in time.
  const good = flight.enough && flight.false === 0;
  const [Icon, colour] = !good
    ? [CircleAlert, 'text-rust']
    : flight.critical === null
      ? [CircleHelp, 'text-ochre']
      : [CircleCheck, 'text-moss'];
  const runs = together(flight.said);
  return (
    <section aria-label="What would have been spoken" className="mb-2 max-w-4xl">
      {flight.words && (
        <p className="flex items-start gap-2 text-[1.1rem] font-bold">
          <Icon size={20} className={`mt-0.5 shrink-0 ${colour}`} aria-hidden />
          {flight.words}
        </p>
      )}
      {[...flight.silent, ...flight.blind].map((sentence) => (
        <p key={sentence} className="text-sm text-ochre">
          {sentence}
        </p>
      ))}
      <div className="mt-1 flex flex-wrap gap-x-8 gap-y-1 text-sm">
        {flight.judged.length > 0 && (
          <details>
            <summary className="cursor-pointer font-semibold">
              It held {flight.judged.length === 1 ? 'once' : `${flight.judged.length} times`}
            </summary>
            <ul className="max-h-56 overflow-y-auto">
              {flight.judged.map((held) => (
                <li key={held.from} className={held.false ? 'text-rust' : ''}>
                  <button
                    type="button"
                    className="target font-mono font-semibold underline"
                    aria-label={`Look closer at ${flightTime(held.from, 1)}`}
                    onClick={() =>
                      onLook({ from: Math.max(held.from / 1000 - AROUND, 0), to: held.to / 1000 + AROUND })
                    }
                  >
                    {flightTime(held.from, 1)}
                  </button>{' '}
                  for {span(held.to - held.from)}: {held.why}
                </li>
              ))}
            </ul>
          </details>
        )}
        <details>
          <summary className="cursor-pointer font-semibold">
            {flight.said.length === 0
              ? 'Nothing would have been spoken'
              : `Spoken ${flight.said.length + flight.notKept} times`}
          </summary>
          <ul className="max-h-56 overflow-y-auto">
            {runs.map((run) => (
              <li key={`${run.at} ${run.text}`}>
                <span className="font-mono">{flightTime(run.at, 1)}</span> “{run.text}”
                {run.times > 1 && <span className="text-soft"> and {run.times - 1} times more</span>}
              </li>
            ))}
          </ul>
          {flight.notKept > 0 && <p className="text-soft">{flight.notKept} more are not listed.</p>}
        </details>
        <span className="text-soft">
          {flight.atCraft ? 'Recorded at the craft: telemetry brings it down.' : 'Recorded at the transmitter.'}
        </span>
      </div>
    </section>
  );
}

/** The same words right after each other are one entry. */
function together(said: ReplayedFlight['said']): { at: number; text: string; times: number }[] {
  const runs: { at: number; text: string; times: number }[] = [];
  for (const { at, text } of said) {
    const last = runs.at(-1);
    if (last?.text === text) last.times++;
    else runs.push({ at, text, times: 1 });
  }
  return runs;
}
