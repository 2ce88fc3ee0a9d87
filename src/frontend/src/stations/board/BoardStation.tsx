import { RANGES } from '../../api/generated/ranges';
import { Plus, Trash2 } from 'lucide-react';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { axisOf, spell, spellOut } from '../../path/orders';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { StationParts } from '../StationParts';
import { TravelBar } from '../../ui/TravelBar';
import { ComparePart } from './ComparePart';
import { FunctionTable } from './FunctionTable';
import { GuardFields } from './GuardFields';
import { LossFields } from './LossFields';
import { MeasurePart } from './MeasurePart';
import { PositionTable } from './PositionTable';
import { SymptomsPart } from './SymptomsPart';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What the board makes of the signal: its axes, its functions, and what each position of a switch makes it do. */
export default function BoardStation({ id, setup, view, changes }: Props) {
  return (
    <StationParts
      title={`Board: what it makes of the signal${setup.board.alias ? ` · ${setup.board.alias}` : ''}`}
      label="Parts of the board"
      parts={[
        { part: 'settings', name: 'Settings', content: <SettingsPart setup={setup} view={view} changes={changes} /> },
        {
          part: 'measure',
          name: 'Measure',
          content: <MeasurePart key={id} id={id} setup={setup} view={view} changes={changes} />,
        },
        { part: 'compare', name: 'Compare', content: <ComparePart id={id} /> },
        { part: 'symptoms', name: 'Symptoms', content: <SymptomsPart id={id} changes={changes} /> },
      ]}
    />
  );
}

function SettingsPart({ setup, view, changes }: Omit<Props, 'id'>) {
  const { board } = setup;
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['board', ...path], value }]));
  const meanFor = (id: string, control: string) =>
    void changes.edit(
      makeEdit(`${board.functions[id]?.label} is meant for another control`, setup, [
        { path: ['board', 'functions', id, 'control'], value: control },
        { path: ['board', 'functions', id, 'planned'], value: undefined },
      ]),
    );
  return (
    <>
      <p className="mb-3 max-w-[75ch] text-soft">
        The bars show the combination of what the transmitter sends and what the map says. Propellers off.
      </p>
      <div className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-3">
        <SelectField
          label="Map: reads channels 1 to 4 as"
          value={board.map}
          options={view.orders.map((order) => ({
            value: order,
            label: spellOut(order),
          }))}
          onChange={(map) => put(`Board reads ${spell(map)}`, ['map'], map)}
        />
        <SelectField
          label="Receiver is on"
          value={board.receiverPort}
          options={Object.entries(board.ports)
            .sort(([a], [b]) => a.localeCompare(b))
            .map(([id, port]) => ({ value: id, label: port.takenBy ? `${port.label} (${port.takenBy})` : port.label }))}
          onChange={(port) => put('Receiver on another port', ['receiverPort'], port)}
        />
        <NumberField
          label="Throttle is low below"
          unit="µs"
          value={board.throttleLow}
          {...RANGES['board.throttleLow']}
          onCommit={(v) => put(`Throttle is low below ${v} µs`, ['throttleLow'], v)}
        />
        <ActivationLimit limit={board.activationLimit ?? null} idle={board.throttleLow} put={put} />
        <NumberField
          label="Signal lost after"
          unit="ms"
          value={board.signalTimeout}
          {...RANGES['board.signalTimeout']}
          step={10}
          onCommit={(v) => put(`Signal lost after ${v} ms`, ['signalTimeout'], v)}
        />
        <NumberField
          label="Centre"
          unit="µs"
          value={board.centre ?? 1500}
          {...RANGES['board.centre']}
          onCommit={(v) => put(`Centre ${v} µs`, ['centre'], v)}
        />
        <NumberField
          label="Deadband"
          unit="µs"
          value={board.deadband ?? 0}
          {...RANGES['board.deadband']}
          onCommit={(v) => put(`Deadband ${v} µs`, ['deadband'], v)}
        />
        <NumberField
          label="Full stick turns at"
          unit="°/s"
          value={board.maximumRate}
          {...RANGES['board.maximumRate']}
          step={10}
          onCommit={(v) => put(`Full stick turns at ${v} °/s`, ['maximumRate'], v)}
        />
        <NumberField
          label="Expo"
          unit="%"
          value={board.expo ?? 0}
          {...RANGES['board.expo']}
          onCommit={(v) => put(`Expo ${v} %`, ['expo'], v)}
        />
        <SelectField
          label="It names spans"
          value={board.spanNumbering ?? 'axis'}
          options={[
            { value: 'axis', label: 'by axis' },
            { value: 'channel', label: 'by channel, from 1' },
            { value: 'channel-from-zero', label: 'by channel, from 0' },
          ]}
          onChange={(v) => put('How the board names its spans', ['spanNumbering'], v)}
        />
      </div>
      <GuardFields guards={board.guards ?? {}} usualTilt={view.starts.tiltLimit} put={put} />
      <LossFields loss={board.loss ?? {}} put={put} />
      <AxisBars map={board.map} />
      <Spans spans={board.spans ?? {}} put={put} />
      <Wander wander={board.wander ?? {}} put={put} />
      <FunctionTable setup={setup} view={view} put={put} changes={changes} meanFor={meanFor} />
      <PositionTable rows={view.rows} setup={setup} />
    </>
  );
}

/** How far channels were measured to wander; findings and proof leave so much room. */
function Wander({
  wander,
  put,
}: {
  wander: NonNullable<Setup['board']['wander']>;
  put: (title: string, path: string[], value: unknown) => void;
}) {
  const told = Object.entries(wander).sort(([a], [b]) => Number(a) - Number(b));
  if (told.length === 0) return null;
  return (
    <p className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <b>Measured to wander:</b>
      {told.map(([channel, us]) => (
        <span key={channel}>
          channel {channel} by {us} µs to either side
        </span>
      ))}
      <Button onClick={() => put('No measured wander', ['wander'], {})}>Forget the wander</Button>
    </p>
  );
}

/** Above what the board activates its controller, for two-stage arming. Most boards have no such limit. */
function ActivationLimit({
  limit,
  idle,
  put,
}: {
  limit: number | null;
  idle: number;
  put: (title: string, path: string[], value: unknown) => void;
}) {
  if (limit === null)
    return (
      <Button onClick={() => put('Activation limit', ['activationLimit'], idle + 50)}>
        <Plus size={15} aria-hidden /> Activation limit
      </Button>
    );
  return (
    <span className="flex items-end gap-1">
      <NumberField
        label="Controller active above"
        unit="µs"
        value={limit}
        {...RANGES['board.activationLimit']}
        onCommit={(v) => put(`Controller active above ${v} µs`, ['activationLimit'], v)}
      />
      <button
        type="button"
        aria-label="Remove the activation limit"
        className="rounded p-2 hover:bg-hair"
        onClick={() => put('No activation limit', ['activationLimit'], undefined)}
      >
        <Trash2 size={15} aria-hidden />
      </button>
    </span>
  );
}

/** The board's axes in its own order, each with what it receives now. */
function AxisBars({ map }: { map: string }) {
  const bars = useBenchState((s) => s.message?.snapshot.bars ?? {});
  return (
    <dl className="mb-4 grid max-w-4xl grid-cols-2 gap-x-8 max-sm:grid-cols-1">
      {['A', 'E', 'R', 'T'].map((letter) => {
        const channel = map.indexOf(letter);
        const us = bars[axisOf(letter)]?.now ?? 1500;
        return (
          <div key={letter} className="grid grid-cols-[8.500rem_1fr_5rem] items-center gap-2">
            <dt>
              <b>{axisOf(letter)}</b>{' '}
              <span className="text-[0.8rem] text-soft">
                ({letter}) channel {channel + 1}
              </span>
            </dt>
            <dd className="contents">
              <TravelBar us={us} />
              <span className="text-right font-mono font-bold whitespace-nowrap">
                {us.toFixed(0)} <span className="text-xs font-normal text-soft">µs</span>
              </span>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** What the board was told of the measured travel, if it was told anything. */
function Spans({
  spans,
  put,
}: {
  spans: NonNullable<Setup['board']['spans']>;
  put: (title: string, path: string[], value: unknown) => void;
}) {
  const told = Object.entries(spans).sort(([a], [b]) => a.localeCompare(b));
  if (told.length === 0) return null;
  return (
    <p className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <b>Scaled to 1000 to 2000:</b>
      {told.map(([axis, span]) => (
        <span key={axis}>
          {axis} {span.low} to {span.high} µs
        </span>
      ))}
      <Button onClick={() => put('No spans at the board', ['spans'], {})}>Forget the spans</Button>
    </p>
  );
}
