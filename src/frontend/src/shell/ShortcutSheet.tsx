import { Key } from '../ui/Key';
import { Sheet } from '../ui/Sheet';

const EVERYWHERE = [
  [['Ctrl', 'Z'], 'Undo'],
  [['Ctrl', 'Shift', 'Z'], 'Redo'],
  [['Ctrl', 'K'], 'Find any control, channel, finding or page'],
  [['Ctrl', '.'], 'Put the focus into the bench'],
  [['F6'], 'Go round: path, work, verdict, bench'],
  [['Alt', 'N'], 'Go to the next step of the work'],
  [['Alt', 'P'], 'The path in one line, or in full'],
  [['Alt', 'B'], 'The bench as a strip, or in full'],
  [['Alt', 'L'], 'The last minute of the bench, back and forth'],
  [['Ctrl', '/'], 'This sheet'],
] as const;

const BENCH = [
  [['W', 'S'], 'Left stick up, down'],
  [['A', 'D'], 'Left stick left, right'],
  [['↑', '↓'], 'Right stick up, down'],
  [['←', '→'], 'Right stick left, right'],
  [['Shift'], 'with a stick key: by 1 % instead of 10 %'],
  [['1', '…', '8'], 'Next position of a switch'],
  [['X'], 'All sticks to their start: throttle down, the others centred'],
  [['L'], 'Link up or lost'],
  [['B'], 'Battery on or off'],
  [['U'], 'Cable for configuration: off, connected, unlocked'],
  [['T'], 'Craft level, tilted, on its back'],
  [['P'], 'Position fix or none'],
  [['V'], 'Stand-back view'],
] as const;

/** All keys on one sheet. */
export function ShortcutSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="Keys"
      description="Single keys act only while the bench has the focus, so that typing never moves a stick."
    >
      <div className="grid grid-cols-2 gap-6 max-sm:grid-cols-1">
        <List title="Everywhere" keys={EVERYWHERE} />
        <List title="In the bench" keys={BENCH} />
      </div>
    </Sheet>
  );
}

function List({ title, keys }: { title: string; keys: readonly (readonly [readonly string[], string])[] }) {
  return (
    <section>
      <h3 className="mb-1 font-bold">{title}</h3>
      <dl>
        {keys.map(([names, words]) => (
          <div key={words} className="flex gap-3 border-b border-hair py-1.5">
            <dt className="flex w-30 shrink-0 flex-wrap items-start gap-1">
              {names.map((name) => (
                <Key key={name}>{name}</Key>
              ))}
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
