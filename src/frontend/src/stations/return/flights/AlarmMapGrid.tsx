import type { AlarmMapView, ReplayView } from '../../../api/types';
import { kindOf, type CellKind } from './cells';

export interface Place {
  level: number;
  wait: number;
}

interface Props {
  map: AlarmMapView;
  alarm: ReplayView['alarms'][number];
  place: Place;
  onPlace: (place: Place) => void;
}

/** The drawing in its own units: a place, and the room for figures around. */
const [CELL, TALL, LEFT, ABOVE, BELOW] = [20, 12, 52, 4, 34];

const LOOKS: Record<CellKind, { fill: string; name: string }> = {
  good: { fill: 'fill-moss-wash', name: 'no false alarm, early enough' },
  false: { fill: 'fill-rust-wash', name: 'false alarms (how many)' },
  late: { fill: 'fill-ochre-wash', name: 'too late, or missed' },
  both: { fill: 'fill-ochre-wash', name: 'too late, and false alarms' },
};

/** Levels along, times upwards; every place with how it would do. Arrow keys go from one to the next. */
export function AlarmMapGrid({ map, alarm, place, onPlace }: Props) {
  const [columns, rows] = [map.levels.length, map.waits.length];
  const [width, height] = [LEFT + columns * CELL + 8, ABOVE + rows * TALL + BELOW];
  const x = (level: number) => LEFT + level * CELL;
  const y = (wait: number) => ABOVE + (rows - 1 - wait) * TALL;
  const go = (level: number, wait: number) =>
    onPlace({ level: Math.min(Math.max(level, 0), columns - 1), wait: Math.min(Math.max(wait, 0), rows - 1) });
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  };
  const at = (event: { clientX: number; clientY: number; currentTarget: Element }) => {
    const box = event.currentTarget.getBoundingClientRect();
    const [px, py] = [
      ((event.clientX - box.left) / box.width) * width,
      ((event.clientY - box.top) / box.height) * height,
    ];
    go(Math.floor((px - LEFT) / CELL), rows - 1 - Math.floor((py - ABOVE) / TALL));
  };
  return (
    <figure className="my-2 max-w-4xl">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="w-full touch-manipulation"
        role="slider"
        aria-label="Level and time"
        aria-valuemin={0}
        aria-valuemax={columns * rows - 1}
        aria-valuenow={place.level * rows + place.wait}
        aria-valuetext={`below ${map.levels[place.level]} ${alarm.unit} for ${map.waits[place.wait]! / 1000} s`}
        tabIndex={0}
        onKeyDown={(event) => {
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          go(place.level + step[0], place.wait + step[1]);
        }}
        onClick={at}
      >
        {map.cells.map((column, level) =>
          column.map((cell, wait) => {
            const kind = kindOf(cell);
            return (
              <g key={`${level} ${wait}`}>
                <rect x={x(level)} y={y(wait)} width={CELL - 1} height={TALL - 1} className={LOOKS[kind].fill} />
                {kind === 'late' && (
                  <line
                    x1={x(level) + 3}
                    x2={x(level) + CELL - 4}
                    y1={y(wait) + TALL - 4}
                    y2={y(wait) + 3}
                    className="stroke-ochre opacity-50"
                  />
                )}
                {cell.false > 0 && (
                  <text
                    x={x(level) + CELL / 2 - 0.5}
                    y={y(wait) + TALL - 2.5}
                    textAnchor="middle"
                    className="fill-rust text-[10px] font-semibold"
                  >
                    {cell.false > 99 ? '··' : cell.false}
                  </text>
                )}
              </g>
            );
          }),
        )}
        <Here x={near(map.levels, alarm.level)} y={near(map.waits, alarm.wait)} />
        <Frame place={map.best!} className="stroke-moss" width={3} />
        <Frame place={place} className="stroke-ink" width={2} />
        {map.levels.map(
          (level, i) =>
            i % 5 === 0 && (
              <text
                key={level}
                x={x(i) + CELL / 2}
                y={height - 18}
                textAnchor="middle"
                className="fill-soft text-[11px]"
              >
                {level}
              </text>
            ),
        )}
        <text x={LEFT} y={height - 3} className="fill-soft text-[11px]">
          below so many {alarm.unit}
        </text>
        {map.waits.map(
          (wait, i) =>
            i % 4 === 0 && (
              <text key={wait} x={LEFT - 6} y={y(i) + TALL - 2} textAnchor="end" className="fill-soft text-[11px]">
                {wait / 1000} s
              </text>
            ),
        )}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-soft">
        <Key className="border-moss bg-moss-wash" name={LOOKS.good.name} />
        <Key className="border-rust bg-rust-wash" mark="3" name={LOOKS.false.name} />
        <Key className="border-ochre bg-ochre-wash" mark="╱" name={LOOKS.late.name} />
        <Key className="border-ochre bg-ochre-wash" mark="3" name={LOOKS.both.name} />
        <span>● as it is set now</span>
      </figcaption>
    </figure>
  );

  function Frame({ place: of, className, width: stroke }: { place: Place; className: string; width: number }) {
    return (
      <rect
        x={x(of.level) - 1}
        y={y(of.wait) - 1}
        width={CELL + 1}
        height={TALL + 1}
        fill="none"
        className={className}
        strokeWidth={stroke}
      />
    );
  }

  function Here({ x: level, y: wait }: { x: number | null; y: number | null }) {
    if (level === null || wait === null) return null;
    return <circle cx={x(level) + CELL / 2} cy={y(wait) + TALL / 2} r="4.5" className="fill-ink" />;
  }
}

/** The nearest of some steps; null where a value lies outside them. */
function near(steps: readonly number[], value: number): number | null {
  const step = steps[1]! - steps[0]!;
  const place = Math.round((value - steps[0]!) / step);
  return place >= 0 && place < steps.length ? place : null;
}

function Key({ className, mark, name }: { className: string; mark?: string; name: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <span aria-hidden className={`grid size-4 place-items-center border text-[10px] leading-none ${className}`}>
        {mark}
      </span>
      {name}
    </span>
  );
}
