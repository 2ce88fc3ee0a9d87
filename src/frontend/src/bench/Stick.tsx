import { useId, useRef, type PointerEvent } from 'react';
import type { ControlView } from '../api/types';
import { useBench, useBenchState } from './BenchProvider';

interface Props {
  hand: 'left' | 'right';
  vertical: ControlView;
  horizontal: ControlView;
}

const clamp = (value: number) => Math.round(Math.max(-100, Math.min(100, value)));

/** One stick of the transmitter: dragged in its square, or moved with the two sliders that a keyboard or screen reader reaches. */
export function Stick({ hand, vertical, horizontal }: Props) {
  const { move, moveTogether } = useBench();
  const name = useId();
  const square = useRef<HTMLDivElement>(null);
  const held = useRef({ x: Number.NaN, y: Number.NaN });
  const [x, y] = useBenchState((s) => [
    s.message?.snapshot.settings[horizontal.id] ?? 0,
    s.message?.snapshot.settings[vertical.id] ?? 0,
  ]);

  // Only the axis that changed is sent.
  const put = (toX: number, toY: number) => {
    const last = held.current;
    const changes = [
      { id: horizontal.id, to: toX, by: Math.abs(toX - last.x) },
      { id: vertical.id, to: toY, by: Math.abs(toY - last.y) },
    ];
    held.current = { x: toX, y: toY };
    moveTogether(changes.filter((c) => c.by > 0));
  };

  const drag = (event: PointerEvent<HTMLDivElement>) => {
    const box = square.current!.getBoundingClientRect();
    put(
      clamp(((event.clientX - box.left) / box.width) * 200 - 100),
      clamp(100 - ((event.clientY - box.top) / box.height) * 200),
    );
  };

  const release = () => {
    put(horizontal.springs ? 0 : held.current.x, vertical.springs ? 0 : held.current.y);
  };

  return (
    <div role="group" aria-labelledby={name} className="flex flex-col items-center">
      <span id={name} className="sr-only">
        {hand} stick
      </span>
      <div
        ref={square}
        data-testid={`${hand}-stick`}
        className="relative size-24 touch-none rounded-lg border border-deep-ink/45 bg-deep-raised"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          held.current = { x, y };
          drag(event);
        }}
        onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && drag(event)}
        onPointerUp={release}
        onPointerCancel={release}
      >
        <span className="absolute top-1/2 left-2 right-2 h-px bg-deep-line" />
        <span className="absolute top-2 bottom-2 left-1/2 w-px bg-deep-line" />
        <span
          className="absolute size-5 -translate-1/2 rounded-full bg-deep-ink shadow"
          style={{ left: `${50 + x * 0.38}%`, top: `${50 - y * 0.38}%` }}
        />
      </div>
      {[vertical, horizontal].map((axis) => (
        <label key={axis.id} className="flex w-24 justify-between text-[0.8rem] leading-5 focus-within:text-deep-live">
          <span>{axis.name}</span>
          <input
            type="range"
            className="sr-only"
            aria-label={axis.name}
            aria-orientation={axis === vertical ? 'vertical' : 'horizontal'}
            min={-100}
            max={100}
            value={axis === vertical ? y : x}
            onChange={(event) => move(axis.id, Number(event.target.value))}
          />
          <output className="font-mono font-semibold">{signed(axis === vertical ? y : x)} %</output>
        </label>
      ))}
    </div>
  );
}

/** A number with its sign, written with a true minus. */
export function signed(value: number): string {
  return value > 0 ? `+${value}` : value < 0 ? `−${-value}` : '0';
}
