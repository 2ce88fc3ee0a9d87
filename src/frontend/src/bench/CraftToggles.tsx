import clsx from 'clsx';
import { BatteryMedium, Cable, MapPin, Radio, Rotate3d, type LucideIcon } from 'lucide-react';
import { Key } from '../ui/Key';
import { useBench, useBenchState } from './BenchProvider';
import { nextConnection, nextTilt, aroundOf } from './craftSteps';

/** What happens to the craft from outside: its link, its battery, a cable for configuration, how it lies, and whether it knows where it is. */
export function CraftToggles({ located }: { located: boolean }) {
  const { link: bench } = useBench();
  const { link, power, tilt, connected, unlocked, fix } = useBenchState(aroundOf);
  const lies = tilt === 0 ? 'level' : tilt >= 180 ? 'on back' : `tilted ${tilt}°`;
  const toggles: (ToggleProps | false)[] = [
    {
      name: 'Link',
      icon: Radio,
      hotkey: 'L',
      usual: link,
      word: link ? 'up' : 'lost',
      onClick: () => bench.setLink(!bench.around().link),
    },
    {
      name: 'Battery',
      icon: BatteryMedium,
      hotkey: 'B',
      usual: power,
      word: power ? 'on' : 'off',
      onClick: () => bench.setPower(!bench.around().power),
    },
    {
      name: 'USB',
      icon: Cable,
      hotkey: 'U',
      usual: !connected,
      word: !connected ? 'off' : unlocked ? 'unlocked' : 'connected',
      onClick: () => bench.surround(nextConnection(bench.around())),
    },
    {
      name: 'Craft',
      icon: Rotate3d,
      hotkey: 'T',
      usual: tilt === 0,
      word: lies,
      onClick: () => bench.surround({ tilt: nextTilt(bench.around().tilt) }),
    },
    located && {
      name: 'Position fix',
      icon: MapPin,
      hotkey: 'P',
      // Indoors there is none, and most functions need none.
      usual: true,
      word: fix ? 'yes' : 'no',
      onClick: () => bench.surround({ fix: !bench.around().fix }),
    },
  ];
  return (
    <div className="grid gap-1 max-xl:grid-cols-2">
      {toggles.map((toggle) => toggle && <Toggle key={toggle.name} {...toggle} />)}
    </div>
  );
}

interface ToggleProps {
  name: string;
  icon: LucideIcon;
  hotkey: string;
  /** Whether it is as in flight. */
  usual: boolean;
  word: string;
  onClick: () => void;
}

function Toggle({ name, icon: Icon, hotkey, usual, word, onClick }: ToggleProps) {
  return (
    <button
      type="button"
      aria-label={`${name}: ${word}`}
      className={clsx(
        'flex h-7 w-38 items-center gap-2 rounded border px-2 text-sm',
        !usual ? 'border-dashed border-deep-warn text-deep-warn' : 'border-deep-live text-deep-live',
      )}
      onClick={onClick}
    >
      <Icon size={16} aria-hidden />
      <span className="flex-1 text-left whitespace-nowrap">
        {name} <b>{word}</b>
      </span>
      <Key>{hotkey}</Key>
    </button>
  );
}
