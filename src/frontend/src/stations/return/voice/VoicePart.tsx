import { Link } from 'react-router';
import { makeEdit } from '../../../api/edits';
import { RANGES } from '../../../api/generated/ranges';
import type { Announcement, Setup, SetupView, SpeechRank } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { figure } from '../../../ui/figures';
import { NumberField } from '../../../ui/NumberField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** How urgent an announcement is, the most urgent first, and what that means. */
const RANKS: [SpeechRank, string, string][] = [
  ['alarm', 'Alarms', 'end what is just being said'],
  ['notice', 'Notices', 'what you must know; calls of timers too'],
  ['change', 'Changes', 'what the craft does now'],
  ['value', 'Values', 'what a switch asks for'],
];

/** What the transmitter says, the urgent first: it speaks one thing at a time, and each takes its time. */
export function VoicePart({ setup, view, changes }: Props) {
  const announcements = Object.entries(setup.model.announcements ?? {})
    .filter(([, made]) => made.enabled !== false)
    .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }));
  const word = setup.transmitter.wordTime ?? 300;
  return (
    <>
      <p className="mb-3 max-w-[80ch] text-soft">
        The transmitter speaks one thing at a time. What waits is said by its urgency; a value that nobody asks for any
        more is not said, and of a sensor that telemetry no longer brings it says once that it is lost.
      </p>
      <div className="grid max-w-5xl gap-x-10 gap-y-4 xl:grid-cols-2">
        {RANKS.map(([rank, name, means]) => {
          const own = announcements.filter(([id]) => view.return.speech[id]?.rank === rank);
          return (
            <section key={rank} aria-labelledby={`rank-${rank}`}>
              <h2 id={`rank-${rank}`} className="text-lg leading-tight font-bold">
                {name} <small className="text-[0.8rem] font-normal text-soft">{means}</small>
              </h2>
              {own.length === 0 && (rank === 'value' ? <ValueOnSwitch /> : <p className="text-soft">none</p>)}
              <ul>
                {own.map(([id, made]) => (
                  <Said key={id} made={made} setup={setup} takes={view.return.speech[id]?.takes ?? 0} />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
      <div className="mt-5 flex flex-wrap items-end gap-x-8 gap-y-3">
        <NumberField
          label="A word takes"
          unit="ms"
          value={word}
          {...RANGES['transmitter.wordTime']}
          step={10}
          onCommit={(v) =>
            void changes.edit(
              makeEdit(`A word takes ${v} ms`, setup, [{ path: ['transmitter', 'wordTime'], value: v }]),
            )
          }
        />
        <p>
          <Link
            className="target inline-flex min-h-8 items-center font-semibold underline"
            to="../model?part=logic"
            relative="path"
          >
            Change what is said, and when
          </Link>
        </p>
      </div>
    </>
  );
}

/** Where nothing is asked for by a switch yet. */
function ValueOnSwitch() {
  return (
    <Link
      className="target inline-flex min-h-8 items-center font-semibold underline"
      to="../model?part=ready-made&chain=spoken-on-switch"
      relative="path"
    >
      Spoken value on a switch, ready made
    </Link>
  );
}

/** An announcement: its words, how long they take at most and how often they are said. */
function Said({ made, setup, takes }: { made: Announcement; setup: Setup; takes: number }) {
  const follows = made.value
    ? setup.model.sensors?.[made.value.sensor]?.label
    : made.timer && setup.model.timers?.[made.timer]?.label;
  return (
    <li className="flex items-baseline gap-3 border-b border-hair py-1.5">
      <span className="min-w-0 flex-1 wrap-anywhere">
        <b>“{made.says}”</b>
        {follows && <span className="text-soft"> and {follows}</span>}
        {made.tone && <span className="text-soft">, after a {made.tone} tone</span>}
      </span>
      <span className="shrink-0 font-mono text-sm whitespace-nowrap">{figure(takes / 1000, 2)} s</span>
      <span className="w-28 shrink-0 text-right text-sm whitespace-nowrap text-soft">
        {made.every ? `every ${figure(made.every / 1000, 1)} s` : 'once'}
      </span>
    </li>
  );
}
