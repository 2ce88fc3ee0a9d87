import { useQuery } from '@tanstack/react-query';
import { auxName } from '../../api/aux';
import { linkProfilesQuery } from '../../api/queries';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { ActionMenu } from '../../ui/ActionMenu';
import { Button } from '../../ui/Button';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** How the signal quality gets to the goggles: on a channel, put there by the receiver or sent back up by the transmitter. */
export function QualityFields({ setup, view, changes }: Props) {
  const { receiver = {} } = setup.air;
  const { free } = view.quality;
  const { data: profiles = [] } = useQuery(linkProfilesQuery);
  const profile = profiles.find((p) => p.profile.id === setup.air.profile)?.profile;
  const by = receiver.qualityOn ?? null;
  const sensors = Object.entries(setup.model.sensors ?? {});
  const sent = Object.values(setup.model.channels).find((c) => c.take.kind === 'sensor');
  const places = free.map((choice) => ({
    id: String(choice.channel),
    name: `Channel ${choice.channel} · ${auxName(choice.channel)}`,
    hint: choice.reasons.join(' '),
  }));
  const remove = () =>
    void changes.edit(
      makeEdit('The receiver puts the quality nowhere', setup, [
        { path: ['air', 'receiver', 'qualityOn'], value: undefined },
      ]),
    );
  return (
    <section aria-labelledby="quality" className="mb-5 max-w-4xl">
      <h2 id="quality" className="text-lg font-bold">
        {by !== null
          ? `The receiver puts the signal quality on channel ${by}, ${auxName(by)}`
          : sent
            ? `${sent.label} is sent up again on channel ${sent.number}, ${auxName(sent.number)}`
            : 'The goggles show no signal quality by channel'}
      </h2>
      <p className="max-w-[75ch] text-soft">
        {by !== null
          ? view.quality.testByReceiver
          : sent
            ? view.quality.testByTransmitter
            : 'The receiver can put it into a channel that nothing uses; or the transmitter sends up again what telemetry brought. Turn off any analogue input for the same thing.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {places.length > 0 && profile?.qualityOnChannel !== false && (
          <ActionMenu
            trigger="By the receiver"
            actions={places}
            onChoose={(channel) => void changes.putQuality('receiver', Number(channel))}
          />
        )}
        {sensors.length > 0 && places.length > 0 && setup.air.telemetry !== false && (
          <ActionMenu
            trigger="By the transmitter"
            actions={sensors.map(([id, sensor]) => ({
              id,
              name: sensor.label,
              hint: `scale 200 %, shift −100, on channel ${free[0]!.channel}`,
            }))}
            onChoose={(sensor) => void changes.putQuality('transmitter', free[0]!.channel, sensor)}
          />
        )}
        {by !== null && <Button onClick={remove}>Take it off channel {by}</Button>}
        {profile?.qualityOnChannel === false && (
          <p className="text-sm text-soft">A receiver of {profile.name} cannot put it into a channel.</p>
        )}
        {places.length === 0 && <p className="text-sm text-soft">No channel that arrives is free.</p>}
      </div>
    </section>
  );
}
