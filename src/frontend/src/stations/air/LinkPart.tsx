import { RANGES } from '../../api/generated/ranges';
import { makeEdit } from '../../api/edits';
import type { LinkSettings, Setup, SetupView } from '../../api/types';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { DistanceField } from './DistanceField';
import { LinkChart } from './LinkChart';
import { RangeCheck } from './RangeCheck';
import { ModuleTable } from './ModuleTable';
import { SystemFields } from './SystemFields';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

type Put = (title: string, member: keyof LinkSettings, value: unknown) => void;

/** Who speaks to whom, on which band, how often, and how far that should reach. */
export function LinkPart({ id, setup, view, changes }: Props) {
  const { air } = setup;
  const put: Put = (title, member, value) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['air', member], value }]));
  const number = (
    member: 'channels' | 'packetRate' | 'frequency' | 'power' | 'antennaGains' | 'warnBelow' | 'urgentBelow',
    [label, unit, usual]: [string, string, number],
    step: number,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      value={air[member] ?? usual}
      {...RANGES[`air.${member}`]}
      step={step}
      onCommit={(value) => put(`${label}: ${value} ${unit}`, member, value)}
    />
  );
  return (
    <>
      <p className="mb-3 max-w-[75ch] text-soft">
        National law and the licence decide which band and how much power are allowed; 100 mW is normally plenty.
      </p>
      <div className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-3">
        <SystemFields id={id} setup={setup} changes={changes} />
        <TextField
          label="You call the system"
          value={air.alias ?? ''}
          maxLength={40}
          width={16}
          onCommit={(alias) => put(`The radio system is called ${alias}`, 'alias', alias)}
        />
        <SelectField
          label="You fly in"
          value={air.region ?? 'unknown'}
          options={[
            { value: 'unknown', label: 'not said' },
            { value: 'one', label: 'region 1: Europe, Africa, northern Asia' },
            { value: 'two', label: 'region 2: the Americas' },
            { value: 'three', label: 'region 3: southern Asia, Oceania' },
          ]}
          onChange={(region) => put('Region of the radio regulations', 'region', region)}
        />
      </div>
      <ModuleTable setup={setup} changes={changes} />
      <LookAtDrafts changes={changes}>
        <div className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-3">
          {number('channels', ['Channels', '', 16], 1)}
          {number('packetRate', ['Packets a second', 'Hz', 100], 10)}
          <Telemetry air={air} put={put} />
          {number('frequency', ['Frequency', 'MHz', 2440], 1)}
          {number('power', ['Power', 'mW', 100], 5)}
          {number('antennaGains', ['Gains of both antennas', 'dB', 0], 0.5)}
          <Sensitivity air={air} usual={view.link.sensitivity} put={put} />
          {number('warnBelow', ['Warn below', '% of packets', 75], 1)}
          {number('urgentBelow', ['Urgent below', '% of packets', 50], 1)}
        </div>
      </LookAtDrafts>
      <LinkChart link={view.link} checked={setup.air.allowance !== undefined && setup.air.allowance !== null} />
      <RangeCheck setup={setup} changes={changes} />
      <DistanceField link={view.link} />
    </>
  );
}

/** How often telemetry comes back: one packet in so many. */
function Telemetry({ air, put }: { air: LinkSettings; put: Put }) {
  const every = air.telemetryEvery ?? null;
  return (
    <SelectField
      label="Telemetry"
      value={air.telemetry === false ? 'none' : every === null ? 'some' : String(every)}
      options={[
        { value: 'none', label: 'does not come back' },
        { value: 'some', label: 'comes back' },
        ...[...new Set([1, 2, 4, 8, 16, 32, 64, 128, ...(every === null ? [] : [every])])]
          .sort((a, b) => a - b)
          .map((n) => ({ value: String(n), label: `1 : ${n}, ${rate(air.packetRate / n)} a second` })),
      ]}
      onChange={(v) =>
        v === 'none' || v === 'some'
          ? put(v === 'none' ? 'No telemetry' : 'Telemetry comes back', 'telemetry', v === 'some')
          : put(`Telemetry 1 : ${v}`, 'telemetryEvery', Number(v))
      }
    />
  );
}

function rate(hertz: number): string {
  return hertz.toLocaleString('en-GB', { maximumFractionDigits: hertz < 10 ? 1 : 0 });
}

/** The weakest signal that the receiver understands: the usual one at the packet rate, or its own. */
function Sensitivity({ air, usual, put }: { air: LinkSettings; usual: number; put: Put }) {
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
          {...RANGES['air.sensitivity']}
          onCommit={(v) => put(`Sensitivity ${v} dBm`, 'sensitivity', v)}
        />
      )}
    </>
  );
}
