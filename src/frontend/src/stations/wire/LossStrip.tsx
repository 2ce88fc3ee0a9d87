import type { LossStretch } from '../../api/types';

interface Props {
  losses: readonly LossStretch[];
  /** How long the recording is, in seconds. */
  seconds: number;
}

/** How each kind is drawn: told apart by height as well as by colour. */
const LOOK: Record<LossStretch['kind'], { name: string; top: number; className: string }> = {
  missing: { name: 'no good frame came', top: 12, className: 'fill-soft' },
  'frame-lost': { name: 'frames repeat older values', top: 6, className: 'fill-ochre' },
  'signal-loss': { name: 'the receiver had lost the signal', top: 0, className: 'fill-rust' },
};

/** Where in a recording something was lost. */
export function LossStrip({ losses, seconds }: Props) {
  return (
    <svg viewBox="0 0 400 18" preserveAspectRatio="none" className="h-5 w-full min-w-32" role="img">
      <title>{losses.map((l) => `${LOOK[l.kind].name} at ${(l.from / 1000).toFixed(3)} s`).join(', ')}</title>
      <line x1="0" x2="400" y1="17.5" y2="17.5" className="stroke-hair" vectorEffect="non-scaling-stroke" />
      {losses.map((loss) => (
        <rect
          key={`${loss.kind} ${loss.from}`}
          x={(400 * loss.from) / (1000 * seconds)}
          // A single frame of a long recording would be too narrow to be seen.
          width={Math.max(1.5, (400 * loss.length) / (1000 * seconds))}
          y={LOOK[loss.kind].top}
          height={18 - LOOK[loss.kind].top}
          className={LOOK[loss.kind].className}
        />
      ))}
    </svg>
  );
}

/** What the marks of a {@link LossStrip} stand for. */
export function LossLegend({ losses }: Pick<Props, 'losses'>) {
  return (
    <span className="flex flex-wrap gap-x-4 font-normal">
      {Object.entries(LOOK)
        .filter(([kind]) => losses.some((l) => l.kind === kind))
        .map(([kind, look]) => (
          <span key={kind} className="inline-flex items-center gap-1.5">
            <svg viewBox="0 0 8 18" className="h-4 w-2" aria-hidden>
              <rect width="8" y={look.top} height={18 - look.top} className={look.className} />
            </svg>
            {look.name}
          </span>
        ))}
    </span>
  );
}
