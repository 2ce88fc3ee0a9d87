import type { FlightDrawing, ReplayView } from '../../../api/types';
import type { Colours } from '../../../ui/useColours';

type Meaning = FlightDrawing['series'][number]['meaning'];

interface Drawn {
  name: string;
  unit: string;
  colour: keyof Colours;
  values: (number | null)[];
  /** True for the one whose figures stand at the right. */
  right: boolean;
}

export interface Panel {
  name: string;
  drawn: Drawn[];
  /** Where the level of the alarm lies in it, in the unit of the first that is drawn; null where it is not one of its, or far off. */
  level: number | null;
  /** What the figures of the first go through. */
  range: [number, number];
}

const KINDS: readonly { name: string; of: readonly Meaning[]; ofBattery: boolean }[] = [
  { name: 'Battery', of: ['voltage', 'cell-voltage'], ofBattery: true },
  { name: 'Load', of: ['current', 'throttle'], ofBattery: true },
  { name: 'Link', of: ['link-quality', 'strength'], ofBattery: false },
];

const NAMES: Partial<Record<Meaning, string>> = {
  voltage: 'pack',
  'cell-voltage': 'cell',
  current: 'current',
  throttle: 'throttle',
  'link-quality': 'quality',
  strength: 'strength',
};

/** What is drawn of a flight, below each other: battery, load, link; those that were not recorded are left out. */
export function panels(drawing: FlightDrawing, alarm: ReplayView['alarms'][number] | null): Panel[] {
  return KINDS.map(({ name, of, ofBattery }) => {
    const found = of.flatMap((meaning) => drawing.series.filter((s) => s.meaning === meaning));
    const level = alarm?.ofBattery === ofBattery ? found.findIndex((s) => s.unit === alarm.unit) : -1;
    // The one with the alarm in it comes first, so that its figures stand at the left.
    const ordered = level > 0 ? [found[level]!, ...found.filter((_, i) => i !== level)] : found;
    if (!ordered[0]) return null;
    const own = rangeOf(ordered[0].values, name === 'Battery');
    const shows = level >= 0 && ordered[0].meaning !== 'cell-voltage' && name !== 'Load' && isNear(alarm!.level, own);
    return {
      name,
      level: shows ? alarm!.level : null,
      range: withRoom(shows ? [Math.min(own[0], alarm!.level), Math.max(own[1], alarm!.level)] : own),
      drawn: ordered.map((s, i) => ({
        name: NAMES[s.meaning] ?? s.meaning,
        unit: s.unit,
        colour: i === 0 ? ('sea' as const) : ('soft' as const),
        values: s.values,
        right: i > 0,
      })),
    };
  }).filter((panel) => panel !== null);
}

/** The lowest and highest of some values. Before it has measured a board reports 0 V, which is no voltage to draw the others small for. */
function rangeOf(values: readonly (number | null)[], masked: boolean): [number, number] {
  const known = values.filter((v) => v !== null);
  const highest = known.reduce((a, b) => Math.max(a, b), -Infinity);
  const lowest = known.reduce((a, b) => (masked && b < highest / 2 ? a : Math.min(a, b)), Infinity);
  return Number.isFinite(highest) ? [Math.min(lowest, highest), highest] : [0, 1];
}

/** A level that lies far off makes all else too small to see. */
function isNear(level: number, [low, high]: [number, number]): boolean {
  const room = Math.max(high - low, 0.1 * Math.abs(high));
  return level > low - room && level < high + room;
}

function withRoom([low, high]: [number, number]): [number, number] {
  const room = Math.max((high - low) * 0.06, Math.abs(high) * 0.02, 0.01);
  return [low - room, high + room];
}
