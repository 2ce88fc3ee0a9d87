import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { linkProfilesQuery } from '../../api/queries';
import type { Setup } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { Popup } from '../../ui/Popup';
import { SelectField } from '../../ui/SelectField';

/** Chooses a radio system and its mode; what they say of band, rate, channels and steps is filled in. */
export function SystemFields({ id, setup, changes }: { id: string; setup: Setup; changes: Changes }) {
  const { data: profiles = [] } = useQuery(linkProfilesQuery);
  const { air } = setup;
  const chosen = profiles.find((p) => p.profile.id === air.profile)?.profile;
  const mode = chosen?.modes.findIndex(
    (m) =>
      m.packetRate === air.packetRate &&
      m.channels === air.channels &&
      JSON.stringify(m.channelSteps ?? {}) === JSON.stringify(air.channelSteps ?? {}),
  );
  return (
    <>
      <SelectField
        label="Radio system"
        value={chosen?.id ?? ''}
        options={[
          { value: '', label: 'set up by hand' },
          ...profiles.map(({ profile, own }) => ({
            value: profile.id,
            label: profile.name,
            group: own ? 'your own' : 'that come with the program',
          })),
        ]}
        onChange={(profile) => {
          if (profile) void changes.useProfile(profile, 0);
        }}
      />
      {chosen && (
        <SelectField
          label="Mode"
          value={String(mode)}
          options={[
            ...(mode === -1 ? [{ value: '-1', label: 'changed by hand' }] : []),
            ...chosen.modes.map((m, i) => ({ value: String(i), label: m.name })),
          ]}
          onChange={(next) => {
            if (Number(next) >= 0) void changes.useProfile(chosen.id, Number(next));
          }}
        />
      )}
      <KeepSystem id={id} own={profiles.find((p) => p.own && p.profile.id === air.profile)?.profile.id} />
      {chosen?.summary && <p className="basis-full text-sm text-soft">{chosen.summary}</p>}
    </>
  );
}

/** Keeps the link as a system of the pilot's own, or forgets one. */
function KeepSystem({ id, own }: { id: string; own: string | undefined }) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [open, setOpen] = useState(false);
  const known = { onSuccess: () => client.invalidateQueries({ queryKey: linkProfilesQuery.queryKey }) };
  const keep = useMutation({
    ...known,
    mutationFn: () =>
      answer(api.POST('/api/setups/{id}/link-profile', { params: { path: { id } }, body: { name: name.trim() } })),
  });
  const forget = useMutation({
    ...known,
    mutationFn: (profile: string) =>
      api.DELETE('/api/link-profiles/{profile}', { params: { path: { profile } } }).then(() => null),
  });
  return (
    <>
      <Popup
        label="Keep this link as a system"
        trigger={<Button>Keep this link as a system</Button>}
        open={open}
        onOpenChange={setOpen}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate(undefined, { onSuccess: () => setOpen(false) });
          }}
        >
          <p>Band, rate, channels, steps and the way to bind, for other craft to choose.</p>
          <label className="mt-3 block text-sm text-soft">
            What the system is called
            <input
              className="block h-9 w-full rounded border border-edge bg-sheet px-2 font-semibold text-ink"
              value={name}
              maxLength={40}
              required
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          {keep.error && <p className="mt-2 font-semibold text-rust">{keep.error.message}</p>}
          <Button look="solid" type="submit" className="mt-3" disabled={keep.isPending || name.trim() === ''}>
            Keep it
          </Button>
        </form>
      </Popup>
      {own && <Button onClick={() => forget.mutate(own)}>Forget this system</Button>}
    </>
  );
}
