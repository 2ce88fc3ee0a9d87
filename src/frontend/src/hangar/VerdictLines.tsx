import clsx from 'clsx';
import { Check, CircleDashed, OctagonAlert, TriangleAlert } from 'lucide-react';
import type { SetupSummary } from '../api/types';

const LEVELS = {
  danger: { icon: OctagonAlert, tone: 'text-rust', name: 'Wrong:' },
  check: { icon: TriangleAlert, tone: 'text-ochre', name: 'To check:' },
  'not-yet': { icon: CircleDashed, tone: 'text-soft', name: 'Not yet:' },
} as const;

/** So many things are named in the hangar; the rest is counted. */
const NAMED = 4;

/** The verdict on a craft in a line, and the worst of what is open. */
export function VerdictLines({ setup }: { setup: SetupSummary }) {
  const { word, headline, lines } = setup;
  const right = word === 'nothing-wrong';
  return (
    <>
      <p
        data-verdict={word}
        className={clsx(
          'flex items-center gap-2 font-bold',
          right ? 'text-moss' : lines[0]?.level === 'danger' ? 'text-rust' : 'text-ink',
        )}
      >
        {right && <Check size={20} aria-hidden />}
        {headline}
      </p>
      <ul className="flex flex-col gap-0.5 text-[0.93rem] empty:hidden">
        {lines.slice(0, NAMED).map(({ title, level }) => {
          const { icon: Icon, tone, name } = LEVELS[level];
          return (
            <li key={title} className="flex items-start gap-2">
              <Icon size={17} className={clsx('mt-0.5 shrink-0', tone)} aria-hidden />
              <span>
                <span className="sr-only">{name}</span> {title}
              </span>
            </li>
          );
        })}
        {lines.length > NAMED && <li className="pl-6 text-soft">and {lines.length - NAMED} more</li>}
      </ul>
    </>
  );
}
