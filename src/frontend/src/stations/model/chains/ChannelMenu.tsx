import { auxName } from '../../../api/aux';
import { makeEdit } from '../../../api/edits';
import type { Channel, Setup } from '../../../api/types';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { NumberField } from '../../../ui/NumberField';
import { Popup } from '../../../ui/Popup';
import { TextField } from '../../../ui/TextField';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  changes: Changes;
}

/** The name and the number of a channel; opens from its name. */
export function ChannelMenu({ id, channel, setup, changes }: Props) {
  const limit = setup.transmitter.shortNames ?? 0;
  const put = (title: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'channels', id, member], value }]));
  return (
    <Popup
      label={`Channel ${channel.number}`}
      trigger={
        <button
          type="button"
          className="rounded-sm px-1 text-left leading-tight font-bold underline decoration-line decoration-2 underline-offset-3 hover:decoration-ink"
        >
          {channel.label}
          {channel.short && <span className="block text-[0.8rem] font-normal text-soft">{channel.short}</span>}
        </button>
      }
    >
      <TextField
        label="Carries"
        value={channel.label}
        maxLength={40}
        width={28}
        onCommit={(v) => put(`Channel ${channel.number} is ${v}`, 'label', v)}
      />
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={limit > 0 ? `Short form, ${limit} letters` : 'Short form'}
          value={channel.short ?? ''}
          maxLength={15}
          onCommit={(v) => put(`Short form ${v}`, 'short', v)}
        />
        <NumberField
          label="Number"
          unit={auxName(channel.number)}
          value={channel.number}
          min={1}
          max={setup.transmitter.channels}
          onCommit={(v) => put(`${channel.label} on channel ${v}`, 'number', v)}
        />
      </div>
      <RemoveButton place={`/model/channels/${id}`} name={channel.label} changes={changes}>
        Remove the channel
      </RemoveButton>
    </Popup>
  );
}
