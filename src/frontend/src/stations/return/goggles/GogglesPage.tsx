import clsx from 'clsx';
import type { GogglesItem, GogglesLine, GogglesSubjectView } from '../../../api/types';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { SelectField } from '../../../ui/SelectField';

interface Props {
  lines: readonly GogglesLine[];
  subjects: readonly GogglesSubjectView[];
  /** The id of the item that is opened. */
  open: string | null;
  onOpen: (id: string | null) => void;
  changes: Changes;
  onPut: (id: string, title: string, item: GogglesItem) => void;
}

/** The items of a page in reading order. */
export function GogglesPage({ lines, subjects, open, onOpen, changes, onPut }: Props) {
  if (lines.length === 0) return <p className="py-1.5 text-soft">Blank.</p>;
  return (
    <ol>
      {lines.map(({ id, item, words, source, obstacle }) => (
        <li key={id} className="border-b border-hair py-1.5">
          <div className="flex items-start gap-2">
            <div className="min-w-0 flex-1">
              <b className={clsx(obstacle && 'text-rust')}>{words}</b>
              <small className="block leading-tight text-soft">
                row {item.row ?? 1}, column {item.column ?? 1} · {source}
              </small>
              {obstacle && <small className="block leading-tight font-semibold text-rust">{obstacle.words}</small>}
            </div>
            <Button
              aria-expanded={open === id}
              aria-label={`${open === id ? 'Close' : 'Change'}: ${words}`}
              onClick={() => onOpen(open === id ? null : id)}
            >
              {open === id ? 'Close' : 'Change'}
            </Button>
            <RemoveButton place={`/goggles/items/${id}`} name={words} changes={changes} />
          </div>
          {open === id && (
            <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pt-2 pb-1">
              <SelectField
                label="Shows"
                value={item.shows}
                options={subjects.map((s) => ({ value: s.shows, label: s.words }))}
                onChange={(v) =>
                  onPut(id, `${subjects.find((s) => s.shows === v)?.words} in the goggles`, {
                    ...item,
                    shows: v as GogglesItem['shows'],
                  })
                }
              />
              <NumberField
                label="Page"
                unit=""
                value={item.page ?? 1}
                min={1}
                max={3}
                onCommit={(v) => onPut(id, `${words} on page ${v}`, { ...item, page: v })}
              />
              <NumberField
                label="Row"
                unit=""
                value={item.row ?? 1}
                min={1}
                max={20}
                onCommit={(v) => onPut(id, `${words} in row ${v}`, { ...item, row: v })}
              />
              <NumberField
                label="Column"
                unit=""
                value={item.column ?? 1}
                min={1}
                max={60}
                onCommit={(v) => onPut(id, `${words} in column ${v}`, { ...item, column: v })}
              />
            </div>
          )}
        </li>
      ))}
    </ol>
  );
}
