import { RANGES } from '../../api/generated/ranges';
import { freeId } from '../../api/edits';
import { listed, nameOf } from '../../api/listed';
import type { BoardFunction, Setup, SetupView } from '../../api/types';
import { RemoveButton } from '../../edits/RemoveButton';
import type { Changes } from '../../edits/useChanges';
import { ActionMenu } from '../../ui/ActionMenu';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { PlannedPositions } from './PlannedPositions';
import type { Put } from './put';
import { Term } from '../../ui/Term';

interface Props {
  setup: Setup;
  view: SetupView;
  put: Put;
  /** Takes a function off the board. */
  changes: Changes;
  /** Means a function for another control; positions that were planned for the old one go. */
  meanFor: (id: string, control: string) => void;
}

/** The kinds of function in the trade's words, arming first. */
const KINDS: Record<BoardFunction['kind'], string> = {
  arm: 'Arm',
  'arm-consent': 'Arming consent',
  'throttle-cut': 'Throttle cut',
  'self-level': 'Self-level',
  'blended-level': 'Blended level',
  'zero-throttle-stabilisation': 'Zero-throttle stabilisation',
  'return-home': 'Return home',
  'position-hold': 'Position hold',
  cruise: 'Cruise',
  manual: 'Manual',
  beeper: 'Locator beeper',
  'self-right': 'Self-right',
  recorder: 'Recorder',
  camera: 'Camera',
  'display-page': 'Display page',
  'automatic-trim': 'Automatic trim',
  'automatic-tune': 'Automatic tune',
  'loss-procedure': 'Loss procedure on purpose',
  'signal-quality': 'Signal quality',
  own: 'Own function',
};

const ORDER = Object.keys(KINDS);

/** What the board does on each AUX channel, one line a function: name, channel, band and the control that is meant to work it. */
export function FunctionTable({ setup, view, put, changes, meanFor }: Props) {
  const { functions } = setup.board;
  const rows = Object.entries(functions).sort(
    ([, a], [, b]) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || a.aux - b.aux || a.low - b.low,
  );
  const controls = listed(setup.transmitter.controls)
    .filter(([, control]) => control.kind !== 'stick')
    .map(([value, control]) => ({ value, label: nameOf(control) }));
  const add = (kind: string) => {
    const label = KINDS[kind as BoardFunction['kind']];
    const value = {
      kind,
      label,
      control: kind === 'arm' ? (controls[0]?.value ?? '') : '',
      aux: 1,
      low: view.starts.bandLow,
      high: view.starts.bandHigh,
    };
    put(`Board function ${label}`, ['functions', freeId(kind, functions)], value);
  };
  return (
    <section aria-labelledby="functions" className="mb-5">
      {/* Positioned, so that the hidden labels inside scroll with it instead of widening the page. */}
      <div className="relative -mx-1 overflow-x-auto px-1">
        <table className="w-full border-collapse">
          <caption id="functions" className="sr-only">
            Functions of the board
          </caption>
          <thead>
            <tr className="border-b-2 border-ink text-left text-[0.84rem] text-soft">
              <th className="py-1 font-semibold">Function</th>
              <th className="font-semibold">
                watches <Term word="AUX n">AUX</Term>
              </th>
              <th className="font-semibold">
                <Term word="band">active from</Term>
              </th>
              <th className="pr-3 font-semibold">up to, not including</th>
              <th className="font-semibold">meant for</th>
              <th className="font-semibold">planned in</th>
              <th>
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([id, made]) => (
              <FunctionRow
                key={id}
                id={id}
                made={made}
                controls={controls}
                positions={view.controls.find((c) => c.id === made.control)?.positions ?? []}
                put={put}
                changes={changes}
                meanFor={meanFor}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-2">
        <ActionMenu
          trigger="Add a function"
          actions={ORDER.map((kind) => ({ id: kind, name: KINDS[kind as BoardFunction['kind']] }))}
          onChoose={add}
        />
      </div>
    </section>
  );
}

interface RowProps {
  id: string;
  made: BoardFunction;
  controls: readonly { value: string; label: string }[];
  positions: SetupView['controls'][number]['positions'];
  put: Props['put'];
  changes: Changes;
  meanFor: Props['meanFor'];
}

function FunctionRow({ id, made, controls, positions, put, changes, meanFor }: RowProps) {
  const at = (member: string) => ['functions', id, member];
  const band = (member: 'low' | 'high', label: string, words: string) => (
    <NumberField
      quiet
      label={`${made.label} ${label}`}
      unit="µs"
      value={made[member]}
      {...RANGES['board.functions.*.low']}
      step={25}
      onCommit={(v) => put(`${made.label} ${words} ${v} µs`, at(member), v)}
    />
  );
  return (
    <tr className="border-b border-hair">
      <th scope="row" className="py-1.5 pr-3 text-left">
        <TextField
          quiet
          label={`Name of ${made.label}`}
          value={made.label}
          maxLength={40}
          width={14}
          onCommit={(v) => put(`${made.label} is called ${v}`, at('label'), v)}
        />
        {KINDS[made.kind].toLowerCase() !== made.label.toLowerCase() && (
          <span className="text-[0.8rem] font-normal text-soft">{KINDS[made.kind]}</span>
        )}
      </th>
      <td className="pr-3">
        <SelectField
          quiet
          label={`${made.label} watches`}
          value={String(made.aux)}
          options={Array.from({ length: 28 }, (_, i) => ({
            value: String(i + 1),
            label: `AUX ${i + 1} = channel ${i + 5}`,
          }))}
          onChange={(aux) => put(`${made.label} watches AUX ${aux}`, at('aux'), Number(aux))}
        />
      </td>
      <td className="pr-3">{band('low', 'is active from', 'from')}</td>
      <td className="pr-3">{band('high', 'up to, not including', 'up to')}</td>
      <td className="pr-3">
        <SelectField
          quiet
          label={`${made.label} is meant for`}
          value={made.control}
          options={[...(made.kind === 'arm' ? [] : [{ value: '', label: 'no control' }]), ...controls]}
          onChange={(control) => meanFor(id, control)}
        />
      </td>
      <td className="pr-3">
        <PlannedPositions made={made} positions={positions} onChange={(title, v) => put(title, at('planned'), v)} />
      </td>
      <td className="text-right">
        <RemoveButton place={`/board/functions/${id}`} name={made.label} changes={changes} />
      </td>
    </tr>
  );
}
