import { Plus, Trash2 } from 'lucide-react';
import { RANGES } from '../../api/generated/ranges';
import type { Setup, SetupView } from '../../api/types';
import { spell, spellOut } from '../../path/orders';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import type { Put } from './put';

/** How the board reads the sticks. */
export function TravelFields({ board, view, put }: { board: Setup['board']; view: SetupView; put: Put }) {
  return (
    <>
      <SelectField
        label="Map: reads channels 1 to 4 as"
        value={board.map}
        options={view.orders.map((order) => ({
          value: order,
          label: spellOut(order),
        }))}
        onChange={(map) => put(`Board reads ${spell(map)}`, ['map'], map)}
      />
      <NumberField
        label="Throttle is low below"
        unit="µs"
        value={board.throttleLow}
        {...RANGES['board.throttleLow']}
        onCommit={(v) => put(`Throttle is low below ${v} µs`, ['throttleLow'], v)}
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
      <ActivationLimit limit={board.activationLimit ?? null} idle={board.throttleLow} put={put} />
      {Object.keys(board.spans ?? {}).length > 0 && (
        <Button onClick={() => put('No spans at the board', ['spans'], {})}>Forget the spans</Button>
      )}
    </>
  );
}

/** Above what the board activates its controller, for two-stage arming. Most boards have no such limit. */
function ActivationLimit({ limit, idle, put }: { limit: number | null; idle: number; put: Put }) {
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
