import clsx from 'clsx';
import { BatteryMedium, Cable, Radio, Rotate3d, type LucideIcon } from 'lucide-react';
import { Key } from '../ui/Key';
import { useBench, useBenchState } from './BenchProvider';
import { nextConnection, nextTilt, surroundingsOf } from './craftSteps';

/** What happens to the craft from outside: its link, its battery, a cable for configuration, and how it lies. */
export function CraftToggles() {
  const { link } = useBench();
  const [up, power, around] = useBenchState((s) => [
    s.message?.snapshot.link ?? null,
    s.message?.snapshot.power ?? null,
    surroundingsOf(s),
  ]);
  const cable = around.connected ? (around.unlocked ? 'unlocked' : 'connected') : 'off';
  const lies = around.tilt === 0 ? 'level' : around.tilt >= 180 ? 'on back' : `tilted ${around.tilt}°`;
  return (
    <div className="grid gap-1 max-xl:grid-cols-2">
      <Toggle
        name="Link"
        icon={Radio}
        hotkey="L"
        usual={up}
        word={word(up, 'up', 'lost')}
        onClick={() => link.setLink(!up)}
      />
      <Toggle
        name="Battery"
        icon={BatteryMedium}
        hotkey="B"
        usual={power}
        word={word(power, 'on', 'off')}
        onClick={() => link.setPower(!power)}
      />
      <Toggle
        name="USB"
        icon={Cable}
        hotkey="U"
        usual={!around.connected}
        word={cable}
        onClick={() => link.surround(nextConnection(link.surroundings()))}
      />
      <Toggle
        name="Craft"
        icon={Rotate3d}
        hotkey="T"
        usual={around.tilt === 0}
        word={lies}
        onClick={() => link.surround({ tilt: nextTilt(link.surroundings().tilt) })}
      />
    </div>
  );
}

const word = (on: boolean | null, yes: string, no: string) => (on === null ? '…' : on ? yes : no);

interface ToggleProps {
  name: string;
  icon: LucideIcon;
  hotkey: string;
  /** Whether it is as in flight; null while that is not known. */
  usual: boolean | null;
  word: string;
  onClick: () => void;
}

function Toggle({ name, icon: Icon, hotkey, usual, word, onClick }: ToggleProps) {
  return (
    <button
      type="button"
      aria-label={`${name}: ${word}`}
      className={clsx(
        'flex h-8 w-38 items-center gap-2 rounded border px-2 text-sm',
        usual === false ? 'border-dashed border-deep-warn text-deep-warn' : 'border-deep-live text-deep-live',
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
