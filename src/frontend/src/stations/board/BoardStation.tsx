import { makeEdit } from '../../api/edits';
import type { BoardFunction, Setup, SetupView } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { axisOf, spell, spellOut } from '../../path/orders';
import type { Changes } from '../../setup/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { StationHead } from '../StationHead';
import { TravelBar } from '../../ui/TravelBar';
import { PositionTable } from './PositionTable';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What the board makes of the signal: its axes, its arm function, and what each position of a switch makes it do. */
export function BoardStation({ setup, view, changes }: Props) {
  const { board } = setup;
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['board', ...path], value }]));
  return (
    <>
      <StationHead title={`Board: what it makes of the signal${board.alias ? ` · ${board.alias}` : ''}`}>
        The bars show the combination of what the transmitter sends and what the map says. Propellers off.
      </StationHead>
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
          min={880}
          max={1500}
          onCommit={(v) => put(`Throttle is low below ${v} µs`, ['throttleLow'], v)}
        />
        <NumberField
          label="Signal lost after"
          unit="ms"
          value={board.signalTimeout}
          min={20}
          max={5000}
          step={10}
          onCommit={(v) => put(`Signal lost after ${v} ms`, ['signalTimeout'], v)}
        />
        <NumberField
          label="Full stick turns at"
          unit="°/s"
          value={board.maximumRate}
          min={10}
          max={2000}
          step={10}
          onCommit={(v) => put(`Full stick turns at ${v} °/s`, ['maximumRate'], v)}
        />
      </div>
      <AxisBars map={board.map} />
      {Object.entries(board.functions).map(([id, made]) => (
        <FunctionFields key={id} id={id} made={made} setup={setup} put={put} />
      ))}
      <PositionTable rows={view.rows} setup={setup} />
    </>
  );
}

/** The board's axes in its own order, each with what it receives now. */
function AxisBars({ map }: { map: string }) {
  const received = useBenchState((s) => (s.message?.snapshot.received ?? []).slice(0, 4));
  return (
    <dl className="mb-4 grid max-w-4xl grid-cols-2 gap-x-8 max-sm:grid-cols-1">
      {['A', 'E', 'R', 'T'].map((letter) => {
        const channel = map.indexOf(letter);
        const us = received[channel] ?? 1500;
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

function FunctionFields({
  id,
  made,
  setup,
  put,
}: {
  id: string;
  made: BoardFunction;
  setup: Setup;
  put: (title: string, path: string[], value: unknown) => void;
}) {
  const at = (member: string) => ['functions', id, member];
  return (
    <fieldset className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-2">
      <legend className="sr-only">{made.label}</legend>
      <b className="flex h-8 items-center rounded-sm bg-ink px-3 text-paper">{made.label}</b>
      <SelectField
        label="watches"
        value={String(made.aux)}
        options={Array.from({ length: 28 }, (_, i) => ({
          value: String(i + 1),
          label: `AUX ${i + 1} = channel ${i + 5}`,
        }))}
        onChange={(aux) => put(`${made.label} watches AUX ${aux}`, at('aux'), Number(aux))}
      />
      <NumberField
        label="and is active from"
        unit="µs"
        value={made.low}
        min={800}
        max={2200}
        step={25}
        onCommit={(v) => put(`${made.label} from ${v} µs`, at('low'), v)}
      />
      <NumberField
        label="up to, not including"
        unit="µs"
        value={made.high}
        min={800}
        max={2200}
        step={25}
        onCommit={(v) => put(`${made.label} up to ${v} µs`, at('high'), v)}
      />
      <SelectField
        label="meant for"
        value={made.control}
        options={Object.entries(setup.transmitter.controls)
          .filter(([, control]) => control.kind !== 'stick')
          .map(([control, { label, alias }]) => ({ value: control, label: alias || label }))}
        onChange={(control) => put(`${made.label} is meant for another control`, at('control'), control)}
      />
    </fieldset>
  );
}
