import { useEffect, useState } from 'react';
import { nullable, string } from 'valibot';
import type { SensorWay, Setup, TraceStop } from '../api/types';
import { figure } from '../ui/figures';
import { useKept } from '../ui/useKept';
import { useBenchState } from './BenchProvider';

/** The sensor that is followed along the way back: the one that was chosen, or the flight battery, or the first. */
export function useFollowedSensor(setup: Setup): [sensor: string | null, follow: (sensor: string) => void] {
  const [chosen, follow] = useKept('zephyros-followed-sensor', nullable(string()), null);
  const sensors = setup.model.sensors ?? {};
  const ids = Object.keys(sensors).sort((a, b) => a.localeCompare(b, 'en'));
  if (chosen !== null && chosen in sensors) return [chosen, follow];
  return [ids.find((id) => sensors[id]?.measures === 'voltage') ?? ids[0] ?? null, follow];
}

/** What the transmitter knows of a sensor. */
interface Heard {
  /** The last reading with its unit; null when none came. */
  words: string | null;
  /** How old it is, in words; empty when none came. */
  age: string;
  /** True while telemetry is missed. */
  missed: boolean;
}

/** What the transmitter knows of a sensor, and how old that is. A reading that comes again as it was is no new picture of the bench: while
 *  telemetry comes, none is older than the time after which it comes again. */
export function useHeard(sensor: string, every: number | null): Heard {
  const missed = useBenchState((s) => s.message?.snapshot.telemetryLost ?? false);
  const words = useBenchState(({ message }) => {
    const known = message?.snapshot.sensors[sensor];
    return known && known.heardAt !== null ? known.words : null;
  });
  const age = useBenchState(({ message }) => {
    const heardAt = message?.snapshot.sensors[sensor]?.heardAt ?? null;
    return message && heardAt !== null ? Math.max(0, message.snapshot.at - heardAt) : 0;
  });
  const live = useBenchState((s) => s.back === null && s.connection === 'live');
  const waited = useSecondsSince(missed && live ? `${words} ${age}` : null);
  if (words === null) return { words, age: '', missed };
  if (every === null) return { words, age: '', missed };
  if (!missed && age <= 2 * every) return { words, age: `at most ${figure(every / 1000, 2)} s old`, missed };
  return { words, age: `${figure(age / 1000 + waited, missed ? 0 : 1)} s old`, missed };
}

/** How many seconds have passed since something became what it is; 0 while it is null. */
function useSecondsSince(what: string | null): number {
  const [passed, setPassed] = useState({ what, seconds: 0 });
  useEffect(() => {
    if (what === null) return;
    const begun = performance.now();
    const beat = window.setInterval(
      () => setPassed({ what, seconds: Math.round((performance.now() - begun) / 1000) }),
      1000,
    );
    return () => window.clearInterval(beat);
  }, [what]);
  return passed.what === what ? passed.seconds : 0;
}

/** The end of the way back, as a stop of the path: what the transmitter knows of the followed sensor. */
export function useReturnStop(setup: Setup, ways: Readonly<Record<string, SensorWay>>): TraceStop {
  const [sensor] = useFollowedSensor(setup);
  const { words, age, missed } = useHeard(sensor ?? '', ways[sensor ?? '']?.every ?? null);
  const stop = { station: 'return', unit: '', mark: 'ended', working: [] as string[] } as const;
  if (sensor === null) return { ...stop, figure: '–', note: 'no sensor' };
  const { label, unit = '' } = setup.model.sensors![sensor]!;
  // What came before it was kept from coming is no reading of now.
  if (ways[sensor]?.obstacle) return { ...stop, figure: '–', note: `${label} does not come` };
  if (words === null) return { ...stop, figure: '–', note: `${label}: nothing came` };
  const bare = unit !== '' && words.endsWith(` ${unit}`) ? words.slice(0, -unit.length - 1) : words;
  return {
    ...stop,
    figure: bare,
    unit,
    note: missed ? `${label}: telemetry missed, ${age}` : [label, age].filter((w) => w !== '').join(', '),
    mark: missed ? 'ended' : 'live',
  };
}
