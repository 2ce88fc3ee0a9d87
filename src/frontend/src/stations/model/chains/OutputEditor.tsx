import type { Channel, Setup } from '../../../api/types';
import { makeEdit } from '../../../api/edits';
import type { Changes } from '../../../edits/useChanges';
import { NumberField } from '../../../ui/NumberField';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  changes: Changes;
}

/** To the tenth of a percent, as fields show it. */
export const tenths = (value: number) => Math.round(value * 10) / 10;

/** The output stage of a channel. */
export function OutputEditor({ id, channel, setup, changes }: Props) {
  const output = channel.output ?? {};
  const { low = -100, centre = 0, high = 100, reverse = false } = output;
  const limit = setup.transmitter.travelLimit;
  const put = (member: string, value: number | boolean, words: string) =>
    void changes.edit(
      makeEdit(`${channel.label}: ${words}`, setup, [{ path: ['model', 'channels', id, 'output', member], value }]),
    );
  const fields = [
    { member: 'low', label: 'Low end', value: low },
    { member: 'centre', label: 'Centre', value: centre },
    { member: 'high', label: 'High end', value: high },
  ];
  return (
    <>
      {fields.map(({ member, label, value }) => (
        <NumberField
          key={member}
          label={label}
          unit="%"
          value={tenths(value)}
          min={-limit}
          max={limit}
          step={0.1}
          onCommit={(v) => put(member, v, `${label.toLowerCase()} ${v} %`)}
        />
      ))}
      <label className="flex h-8 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-5 accent-sea"
          checked={reverse}
          onChange={(event) => put('reverse', event.target.checked, event.target.checked ? 'reversed' : 'not reversed')}
        />
        Reversed
      </label>
    </>
  );
}
