import { Popover } from 'radix-ui';
import type { Channel, Setup } from '../../../api/types';
import { makeEdit } from '../../../api/edits';
import type { Changes } from '../../../edits/useChanges';
import { signed } from '../../../bench/Stick';
import { NumberField } from '../../../ui/NumberField';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  changes: Changes;
}

const round = (value: number) => Math.round(value * 10) / 10;

/** The output stage of a channel: shown as one step, edited in place. */
export function OutputEditor({ id, channel, setup, changes }: Props) {
  const output = channel.output ?? {};
  const { low = -100, centre = 0, high = 100, reverse = false } = output;
  const limit = setup.transmitter.travelLimit;
  const put = (member: string, value: number | boolean, words: string) =>
    void changes.edit(
      makeEdit(`${channel.label}: ${words}`, setup, [{ path: ['model', 'channels', id, 'output', member], value }]),
    );
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-8 items-center whitespace-nowrap rounded-sm border border-line bg-sheet px-2 text-[0.87rem] hover:border-ink">
        {reverse && <b className="mr-1">reversed</b>}
        ends {signed(round(low))} / {signed(round(high))} %{centre !== 0 && ` · centre ${signed(round(centre))} %`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={`Output stage of channel ${channel.number}`}
          className="z-30 flex max-w-[calc(100vw-1.5rem)] flex-wrap items-end gap-3 rounded border border-ink bg-paper p-3 shadow-xl"
        >
          <NumberField
            label="Low end"
            unit="%"
            value={round(low)}
            min={-limit}
            max={limit}
            step={0.1}
            onCommit={(v) => put('low', v, `low end ${v} %`)}
          />
          <NumberField
            label="Centre"
            unit="%"
            value={round(centre)}
            min={-limit}
            max={limit}
            step={0.1}
            onCommit={(v) => put('centre', v, `centre ${v} %`)}
          />
          <NumberField
            label="High end"
            unit="%"
            value={round(high)}
            min={-limit}
            max={limit}
            step={0.1}
            onCommit={(v) => put('high', v, `high end ${v} %`)}
          />
          <label className="flex h-8 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-sea"
              checked={reverse}
              onChange={(event) =>
                put('reverse', event.target.checked, event.target.checked ? 'reversed' : 'not reversed')
              }
            />
            Reversed
          </label>
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
