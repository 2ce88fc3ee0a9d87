import { Slider } from 'radix-ui';
import type { ControlView } from '../api/types';
import { useBench, useBenchState } from './BenchProvider';
import { signed } from './Stick';
import { useUnderHand } from './useUnderHand';

/** A dial, drawn as the travel that it has. */
export function DialTile({ control }: { control: ControlView }) {
  const { move } = useBench();
  const shown = useBenchState((s) => s.message?.snapshot.settings[control.id] ?? control.start);
  const [setting, put] = useUnderHand(shown, (value) => move(control.id, value));
  return (
    <div className="flex w-13 min-w-0 flex-col items-center">
      <Slider.Root
        className="relative flex h-[5.4rem] w-8 touch-none justify-center"
        orientation="vertical"
        min={-100}
        max={100}
        value={[setting]}
        onValueChange={([value]) => value !== undefined && put(value)}
      >
        <Slider.Track className="relative w-1 rounded bg-deep-line">
          <Slider.Range className="absolute w-full rounded bg-deep-live" />
        </Slider.Track>
        <Slider.Thumb aria-label={control.name} className="block h-3.5 w-7 rounded-sm bg-deep-ink" />
      </Slider.Root>
      <b className="text-[0.8rem] mt-0.5 leading-4">{signed(setting)} %</b>
      <span className="text-center text-[0.73rem] leading-[1.15]">{control.name}</span>
    </div>
  );
}
