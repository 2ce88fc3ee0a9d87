/** The range that the bar draws, in microseconds: a little beyond the board's 1000 to 2000. */
const LOW = 880;
const HIGH = 2120;

const at = (us: number) => `${((Math.max(LOW, Math.min(HIGH, us)) - LOW) / (HIGH - LOW)) * 100}%`;

/** A value on the board's 1000 to 2000 microseconds, with its centre and ends marked. */
export function TravelBar({ us }: { us: number }) {
  const left = Math.min(us, 1500);
  const right = Math.max(us, 1500);
  return (
    <div className="relative h-6 min-w-14" aria-hidden>
      <span className="absolute top-3.5 h-1.5 bg-hair" style={{ left: at(1000), right: `calc(100% - ${at(2000)})` }} />
      <span className="absolute top-3.5 h-1.5 bg-sea" style={{ left: at(left), right: `calc(100% - ${at(right)})` }} />
      {[1000, 1500, 2000].map((mark) => (
        <span key={mark} className="absolute top-2 h-4 w-px bg-soft" style={{ left: at(mark) }} />
      ))}
      <svg viewBox="0 0 12 8" className="absolute top-1.5 h-2 w-3 -translate-x-1/2 fill-ink" style={{ left: at(us) }}>
        <path d="M0 0h12L6 8z" />
      </svg>
    </div>
  );
}
