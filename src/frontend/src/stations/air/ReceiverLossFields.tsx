import { RANGES } from '../../api/generated/ranges';
import { useQuery } from '@tanstack/react-query';
import { makeEdit } from '../../api/edits';
import { linkProfilesQuery } from '../../api/queries';
import type { LinkSettings, Setup } from '../../api/types';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { Term } from '../../ui/Term';
import { PresetTable } from './PresetTable';

/** A disarmed, low value where the editing of a preset starts, in microseconds. */
const LOW = 988;

/** What the receiver does on its wire while nothing arrives by radio. */
export function ReceiverLossFields({ id, setup, changes }: { id: string; setup: Setup; changes: Changes }) {
  const { air } = setup;
  const presets = air.presets ?? {};
  const { data: profiles = [] } = useQuery(linkProfilesQuery);
  const known = profiles.find((p) => p.profile.id === air.profile)?.profile.onLoss ?? [];
  const can = (way: NonNullable<LinkSettings['onLoss']>) => known.length === 0 || known.includes(way);
  const put = (title: string, member: keyof LinkSettings, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['air', member], value }]));
  const channels = Object.values(setup.model.channels)
    .filter((c) => c.number <= air.channels)
    .sort((a, b) => a.number - b.number);
  return (
    <fieldset className="mb-5 flex min-w-0 flex-wrap items-end gap-x-5 gap-y-3">
      <legend className="mb-2 w-full border-b-2 border-ink pb-1 text-[0.84rem] font-semibold text-soft">
        On a loss, as set on the receiver itself: <Term word="hold, preset, silence" />
      </legend>
      <SelectField
        label="The receiver"
        value={air.onLoss ?? 'silent'}
        options={[
          { value: 'silent', label: 'falls silent', disabled: !can('silent') },
          { value: 'preset', label: 'sends presets', disabled: !can('preset') },
          { value: 'hold', label: 'holds the last values', disabled: !can('hold') },
        ]}
        onChange={(value) => put('Receiver on a loss', 'onLoss', value)}
      />
      <NumberField
        label="after so long without a packet (0: not measured)"
        unit="ms"
        value={air.givesUpAfter ?? 0}
        min={0}
        max={RANGES['air.givesUpAfter'].max}
        step={10}
        onCommit={(v) =>
          put(
            v === 0 ? 'When the receiver gives up is not known' : `Receiver gives up after ${v} ms`,
            'givesUpAfter',
            v === 0 ? undefined : v,
          )
        }
      />
      <SelectField
        label="Telemetry"
        value={air.telemetry === false ? 'none' : 'comes'}
        options={[
          { value: 'comes', label: 'comes back by the link' },
          { value: 'none', label: 'does not come back' },
        ]}
        onChange={(value) => put('Telemetry', 'telemetry', value === 'comes')}
      />
      <SelectField
        label="Channel 5 (AUX 1)"
        value={air.reservesArmChannel ? 'reserved' : 'free'}
        options={[
          { value: 'free', label: 'is a channel like the others' },
          { value: 'reserved', label: 'is reserved for arming, on and off' },
        ]}
        onChange={(value) => put('Reserved arm channel', 'reservesArmChannel', value === 'reserved')}
      />
      {air.onLoss === 'preset' && <PresetTable id={id} setup={setup} changes={changes} />}
      <LookAtDrafts changes={changes}>
        {air.onLoss === 'preset' &&
          channels.map(({ number, label }) => {
            const preset = presets[number];
            const without = Object.fromEntries(Object.entries(presets).filter(([n]) => n !== String(number)));
            return (
              <div key={number} className="flex items-end gap-2">
                <SelectField
                  label={`${number} ${label}`}
                  value={preset === undefined ? 'last' : 'preset'}
                  options={[
                    { value: 'last', label: 'last value' },
                    { value: 'preset', label: 'preset' },
                  ]}
                  onChange={(v) =>
                    put(
                      `Preset of channel ${number}`,
                      'presets',
                      v === 'last' ? without : { ...presets, [number]: LOW },
                    )
                  }
                />
                {preset !== undefined && (
                  <NumberField
                    label={`Preset of channel ${number}`}
                    quiet
                    unit="µs"
                    value={preset}
                    {...RANGES['air.presets.*']}
                    onCommit={(v) => put(`Preset of channel ${number}`, 'presets', { ...presets, [number]: v })}
                  />
                )}
              </div>
            );
          })}
      </LookAtDrafts>
    </fieldset>
  );
}
