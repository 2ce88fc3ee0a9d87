import clsx from 'clsx';
import { Eye } from 'lucide-react';
import type { ReactNode } from 'react';
import { STATION_NAMES } from '../api/stations';
import type { LookAheadView, TraceStop, VerdictAheadView } from '../api/types';
import type { Look } from '../edits/look';

/** So many changes of the setup are told; the rest is counted. */
const TOLD = 3;

/** What the edit that is looked at would change, over the half of the page where the hand is not. It is there to be read only. */
export function LookAheadCard({ look: { ahead, judged, title, low } }: { look: Look }) {
  return (
    <div
      role="status"
      aria-label="Looked ahead"
      className={clsx(
        'pointer-events-none fixed inset-x-3 z-20 lg:right-87 print:hidden',
        low ? 'top-16 lg:top-44' : 'bottom-20',
      )}
    >
      {ahead && (
        // Where there is little room it never reaches the half where the hand is; the rest of it is scrolled to.
        <div className="mx-auto max-w-4xl rounded border-2 border-dashed border-sea bg-sheet px-4 py-3 shadow-lg max-lg:pointer-events-auto max-lg:max-h-[40dvh] max-lg:overflow-y-auto">
          <p className="flex items-center gap-2 font-bold">
            <Eye size={17} aria-hidden className="shrink-0 text-sea" />
            <span>
              If you do this: {title} <span className="font-normal text-soft">(nothing is saved)</span>
            </span>
          </p>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 text-[0.93rem] max-sm:grid-cols-1">
            <Row name="Changes">{told(ahead)}</Row>
            <Row name="On the path">{onPath(ahead)}</Row>
            <Judged judged={judged} />
          </dl>
        </div>
      )}
    </div>
  );
}

function Row({ name, tone, children }: { name: string; tone?: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-soft">{name}</dt>
      <dd className={tone}>{children}</dd>
    </>
  );
}

const namesOf = (promises: readonly { name: string }[]) => promises.map((p) => p.name).join('; ');

function told({ changes }: LookAheadView): string {
  const words = changes.slice(0, TOLD).map(({ where, before, after }) => {
    if (before === '') return `${where}: ${after}`;
    return after === '' ? `no ${where}` : `${where}: ${before} becomes ${after}`;
  });
  const rest = changes.length - TOLD;
  return [...words, ...(rest > 0 ? [`${rest} more`] : [])].join('; ') || 'nothing';
}

function onPath({ path: { changes, where, before, after, boardBefore, boardAfter } }: LookAheadView): string {
  if (!changes)
    return 'the same, with one control after the other tried in all its positions or at every 10 % of its travel';
  const differing = (told: (stop: TraceStop) => string) =>
    before.stops.flatMap((was, i) => {
      const [from, to] = [was, after.stops[i]!].map(told);
      return from === to ? [] : [`${STATION_NAMES[was.station]} ${from} becomes ${to}`];
    });
  const values = differing((s) => `${s.figure} ${s.unit}`.trim());
  const stops = values.length > 0 ? values : differing((s) => `“${s.note}”`);
  const board =
    boardBefore.title === boardAfter.title
      ? []
      : [`the board says “${boardAfter.title}” instead of “${boardBefore.title}”`];
  return `${where === '' ? `${before.name} as it stands` : where}: ${[...stops, ...board].join(', ') || boardAfter.reason}`;
}

/** What it would change of the verdict, which takes a proof of its own. */
function Judged({ judged }: { judged: VerdictAheadView | null }) {
  if (!judged) return <Row name="Promises">Proving it on a copy…</Row>;
  const { gained, lost, gone, come, waiting } = judged.verdict;
  return (
    <>
      <Row name="Promises">
        {gained.length > 0 && <p className="text-moss">Keeps besides: {gained.join('; ')}</p>}
        {[...new Set(lost.map((l) => l.reason))].map((reason) => (
          <p key={reason}>
            <b className="text-rust">Would no longer keep: {namesOf(lost.filter((l) => l.reason === reason))}.</b>{' '}
            {reason}
          </p>
        ))}
        {judged.running && waiting > 0 && <p className="text-soft">Proving it on a copy: {waiting} still to come…</p>}
        {!judged.running && waiting > 0 && (
          <p className="text-soft">Of {waiting} it is not known: the proof was ended.</p>
        )}
        {waiting === 0 && gained.length + lost.length === 0 && <p>none gained, none lost</p>}
      </Row>
      {gone.length > 0 && (
        <Row name="Puts right" tone="text-moss">
          {gone.join('; ')}
        </Row>
      )}
      {come.length > 0 && (
        <Row name="Brings up" tone="text-rust">
          {come.join('; ')}
        </Row>
      )}
    </>
  );
}
