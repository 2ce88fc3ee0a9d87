import { useQuery } from '@tanstack/react-query';
import { array, boolean, nullish, number, object, optional, partial, picklist, record, string } from 'valibot';
import { answer, api } from '../../api/client';
import { setupQuery } from '../../api/queries';
import type { BoardReadings, MeasurementRecord, PositionSeen, StickAxis, Sweep, WiggleSeen } from '../../api/types';
import { useKept } from '../../ui/useKept';

/** Where readings come from: a real board, a recording of a real wire, or the simulated bench. */
export type From = 'board' | 'wire' | 'bench';

/** A sweep of which not everything is typed yet. */
export type PartSweep = Partial<Sweep>;

/** The places that readings come from, as a tab keeps them. */
export const fromShape = picklist(['board', 'wire', 'bench']);

const taken = { from: fromShape, revision: number() };

const axis = picklist(['roll', 'pitch', 'throttle', 'yaw']);

// What a tab has kept may be of another version of the program.
const sticksShape = object({
  ...taken,
  wiggles: record(axis, object({ moved: axis, bar: axis, reversed: nullish(boolean()) })),
  sweeps: record(axis, partial(object({ low: number(), centre: number(), high: number(), jitter: number() }))),
});

const switchesShape = object({
  ...taken,
  positions: array(
    object({ control: string(), setting: number(), channel: number(), value: number(), jitter: optional(number()) }),
  ),
});

/** Readings of one kind, where they come from, and the revision that they were taken on. */
interface Taken {
  from: From;
  revision: number;
}

interface Sticks extends Taken {
  wiggles: Partial<Record<StickAxis, WiggleSeen>>;
  sweeps: Partial<Record<StickAxis, PartSweep>>;
}

interface Switches extends Taken {
  positions: readonly PositionSeen[];
}

const NO_STICKS: Sticks = { wiggles: {}, sweeps: {}, from: 'board', revision: 0 };
const NO_SWITCHES: Switches = { positions: [], from: 'board', revision: 0 };

const isWhole = (sweep: PartSweep): sweep is Sweep =>
  sweep.low !== undefined && sweep.centre !== undefined && sweep.high !== undefined;

/** The sweeps of which everything is there. */
export const wholeSweeps = (sweeps: Sticks['sweeps']): Partial<Record<StickAxis, Sweep>> =>
  Object.fromEntries(Object.entries(sweeps).filter(([, sweep]) => isWhole(sweep)));

/** What was measured of a craft and not put away yet. It stays while the tab is open. */
export function useMeasured(id: string) {
  const { data: document } = useQuery(setupQuery(id));
  const revision = document?.revision ?? 0;
  const [sticks, keepSticks] = useKept<Sticks>(`zephyros.sticks.measured.${id}`, sticksShape, NO_STICKS);
  const [switches, keepSwitches] = useKept<Switches>(`zephyros.switches.measured.${id}`, switchesShape, NO_SWITCHES);

  const hasSticks = Object.keys(sticks.wiggles).length + Object.keys(sticks.sweeps).length > 0;
  const hasSwitches = switches.positions.length > 0;
  const ofSticks = { wiggles: Object.values(sticks.wiggles), sweeps: wholeSweeps(sticks.sweeps), positions: [] };
  const ofSwitches = { wiggles: [], sweeps: {}, positions: [...switches.positions] };
  const readings: BoardReadings = { ...ofSticks, positions: ofSwitches.positions };
  return {
    sticks,
    switches,
    readings,
    some: hasSticks || hasSwitches,
    simulated: (hasSticks && sticks.from === 'bench') || (hasSwitches && switches.from === 'bench'),
    /** The revision that all of it, at the earliest, was taken on. */
    revision: Math.min(hasSticks ? sticks.revision : revision, hasSwitches ? switches.revision : revision),
    sticksStand: useStanding(id, revision, hasSticks ? sticks.revision : revision, ofSticks),
    switchesStand: useStanding(id, revision, hasSwitches ? switches.revision : revision, ofSwitches),
    /** Takes new readings; what they do not speak of stays. */
    take: (from: From, taken: BoardReadings) => {
      if (taken.wiggles.length + Object.keys(taken.sweeps).length > 0)
        keepSticks({
          wiggles: Object.fromEntries(taken.wiggles.map((w) => [w.moved, w])),
          sweeps: taken.sweeps,
          from,
          revision,
        });
      if (taken.positions.length > 0) keepSwitches({ positions: taken.positions, from, revision });
    },
    /** Changes single readings. Typing into a simulated measurement does not make it a real one. */
    amendSticks: (change: Partial<Pick<Sticks, 'wiggles' | 'sweeps'>>) =>
      keepSticks({ ...(hasSticks ? sticks : { ...NO_STICKS, revision }), ...change }),
    amendSwitches: (positions: readonly PositionSeen[]) =>
      keepSwitches({ ...(hasSwitches ? switches : { ...NO_SWITCHES, revision }), positions }),
    clear: () => {
      keepSticks(NO_STICKS);
      keepSwitches(NO_SWITCHES);
    },
  };
}

/** Whether a measurement still holds. */
interface Standing {
  /** Something on the measured way was changed after it. */
  changed: boolean;
  /** True while nothing may be corrected by it: also until the server has said that nothing was changed. */
  blocked: boolean;
}

/** Whether something on the measured way was changed after a revision; the server says so. */
function useStanding(id: string, now: number, taken: number, record: MeasurementRecord): Standing {
  const { data, isError } = useQuery({
    queryKey: ['setup', id, 'measurement-changes', taken, now, record],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/measurement-changes', {
          params: { path: { id }, query: { revision: taken } },
          body: record,
        }),
      ),
    enabled: taken !== now,
    retry: false,
  });
  if (taken === now) return { changed: false, blocked: false };
  return { changed: isError || (data?.length ?? 0) > 0, blocked: data?.length !== 0 };
}
