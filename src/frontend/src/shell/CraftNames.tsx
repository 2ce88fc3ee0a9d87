import { Pencil } from 'lucide-react';
import { makeEdit } from '../api/edits';
import { RANGES } from '../api/generated/ranges';
import type { Setup } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { NumberField } from '../ui/NumberField';
import { Popup } from '../ui/Popup';
import { TextField } from '../ui/TextField';

/** The craft's name, and behind it everything that names the craft: what it is, its cells, the name that the transmitter stores. */
export function CraftNames({ setup, changes }: { setup: Setup; changes: Changes }) {
  const { craft, model, board } = setup;
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path, value }]));
  return (
    <Popup
      label="Names"
      trigger={
        <button
          type="button"
          title="Names of the craft"
          className="group flex min-h-8 min-w-0 items-center gap-1.5 rounded px-1 text-left hover:bg-hair"
        >
          <b className="truncate text-lg">{craft.name}</b>
          <Pencil size={13} aria-hidden className="shrink-0 text-soft" />
          <span className="truncate text-[0.87rem] text-soft max-2xl:hidden">{craft.summary}</span>
        </button>
      }
    >
      <TextField
        label="Craft"
        value={craft.name}
        maxLength={40}
        width={26}
        onCommit={(v) => put(`Craft is called ${v}`, ['craft', 'name'], v)}
      />
      <TextField
        label="What it is"
        value={craft.summary ?? ''}
        maxLength={80}
        width={34}
        onCommit={(v) => put('What the craft is', ['craft', 'summary'], v)}
      />
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Model, as the transmitter stores it"
          value={model.name}
          maxLength={15}
          onCommit={(v) => put(`Model stored as ${v}`, ['model', 'name'], v)}
        />
        <NumberField
          label="Cells in series"
          unit=""
          value={craft.cells}
          {...RANGES['craft.cells']}
          onCommit={(v) => put(`${v} cells`, ['craft', 'cells'], v)}
        />
      </div>
      <TextField
        label="What you call the board"
        value={board.alias ?? ''}
        maxLength={40}
        width={26}
        onCommit={(v) => put(v === '' ? 'No name for the board' : `Board is called ${v}`, ['board', 'alias'], v)}
      />
    </Popup>
  );
}
