import { Slider } from 'radix-ui';
import clsx from 'clsx';
import type { ControlView } from '../api/types';
import { useBench } from './BenchProvider';

interface Props {
  control: ControlView;
  setting: number;
}

/** A switch of many positions as one slider with a detent for each: a button for every one would be too small to hit. */
export function DetentTile({ control, setting }: Props) {
  const { move } = useBench();
  const stacked = [...control.positions].sort((a, b) => a.setting - b.setting);
  return (
    <Slider.Root
      className="relative flex h-[5.4rem] w-full max-w-11 touch-none flex-col rounded border border-deep-ink/45 p-0.5"
      orientation="vertical"
      inverted
      min={1}
      max={stacked.length}
      value={[setting]}
      onValueChange={([value]) => value !== undefined && move(control.id, value)}
    >
      <Slider.Track className="flex size-full flex-col gap-0.5">
        {stacked.map((position, i) => (
          <span
            key={position.setting}
            className={clsx(
              'flex min-h-0 flex-1 items-center justify-center rounded-sm',
              position.setting === setting ? 'bg-deep-ink text-deep' : 'bg-deep-raised',
            )}
          >
            {i === 0 && <span className="h-0.5 w-4 bg-current opacity-70" />}
          </span>
        ))}
      </Slider.Track>
      <Slider.Thumb
        aria-label={control.name}
        aria-valuetext={stacked.find((p) => p.setting === setting)?.name}
        className="block h-3 w-9 rounded-sm"
      />
    </Slider.Root>
  );
}
