import { makeEdit } from '../../api/edits';
import type { LinkSettings, Setup, SetupView } from '../../api/types';
import type { Changes } from '../../setup/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { WholeWay } from '../WholeWay';
import { StationHead } from '../StationHead';
import { ChannelBudget } from './ChannelBudget';
import { LinkChart } from './LinkChart';
import { ReceiverLossFields } from './ReceiverLossFields';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The radio link: what it carries, how far it reaches, and what the receiver does on a loss. */
export default function AirStation({ setup, view, changes }: Props) {
  const { air } = setup;
  const put = (title: string, member: keyof LinkSettings, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['air', member], value }]));
  const number = (
    member: 'channels' | 'packetRate' | 'frequency' | 'power' | 'antennaGains' | 'warnBelow' | 'urgentBelow',
    [label, unit, usual]: [string, string, number],
    [min, max, step]: [number, number, number],
  ) => (
    <NumberField
      label={label}
      unit={unit}
      value={air[member] ?? usual}
      min={min}
      max={max}
      step={step}
      onCommit={(value) => put(`${label}: ${value} ${unit}`, member, value)}
    />
  );
  return (
    <>
      <StationHead title={`Air: ${air.channels} channels, ${air.packetRate} packets a second`}>
        National law and the licence decide which band and how much power are allowed; 100 mW is normally plenty.
      </StationHead>
      <div className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-3">
        <TextField
          label="You call the system"
          value={air.alias ?? ''}
          maxLength={40}
          width={16}
          onCommit={(alias) => put(`The radio system is called ${alias}`, 'alias', alias)}
        />
        {number('channels', ['Channels', '', 16], [4, 32, 1])}
        {number('packetRate', ['Packets a second', 'Hz', 100], [10, 1000, 10])}
        {number('frequency', ['Frequency', 'MHz', 2440], [100, 6000, 1])}
        {number('power', ['Power', 'mW', 100], [1, 2000, 5])}
        {number('antennaGains', ['Gains of both antennas', 'dB', 0], [-30, 40, 0.5])}
        <Sensitivity air={air} usual={view.link.sensitivity} put={put} />
        {number('warnBelow', ['Warn below', '% of packets', 75], [1, 99, 1])}
        {number('urgentBelow', ['Urgent below', '% of packets', 50], [1, 99, 1])}
      </div>
      <LinkChart link={view.link} />
      <ChannelBudget setup={setup} carried={view.carriedChannels} />
      <ReceiverLossFields setup={setup} changes={changes} />
      <WholeWay station="air" />
    </>
  );
}

/** The weakest signal that the receiver understands: the usual one at the packet rate, or its own. */
function Sensitivity({
  air,
  usual,
  put,
}: {
  air: LinkSettings;
  usual: number;
  put: (title: string, member: keyof LinkSettings, value: unknown) => void;
}) {
  const own = air.sensitivity ?? null;
  return (
    <>
      <SelectField
        label="Receiver understands"
        value={own === null ? 'usual' : 'own'}
        options={[
          { value: 'usual', label: `what is usual: ${Math.round(usual)} dBm` },
          { value: 'own', label: 'what its sheet says' },
        ]}
        onChange={(v) => put('Sensitivity', 'sensitivity', v === 'own' ? Math.round(usual) : undefined)}
      />
      {own !== null && (
        <NumberField
          label="Sensitivity"
          unit="dBm"
          value={own}
          min={-140}
          max={-40}
          onCommit={(v) => put(`Sensitivity ${v} dBm`, 'sensitivity', v)}
        />
      )}
    </>
  );
}
