import { auxName } from '../../../api/aux';
import { makeEdit } from '../../../api/edits';
import type { Channel, Setup } from '../../../api/types';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { NumberField } from '../../../ui/NumberField';
import { TextField } from '../../../ui/TextField';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  changes: Changes;
}

/** The names and the number of a channel. */
export function ChannelNames({ id, channel, setup, changes }: Props) {
  const limit = setup.transmitter.shortNames ?? 0;
  const put = (title: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'channels', id, member], value }]));
  return (
    <>
      <TextField
        label="Carries"
        value={channel.label}
        maxLength={40}
        width={28}
        onCommit={(v) => put(`Channel ${channel.number} is ${v}`, 'label', v)}
      />
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
      <RemoveButton place={`/model/channels/${id}`} name={channel.label} changes={changes}>
        Remove the channel
      </RemoveButton>
    </>
  );
}
