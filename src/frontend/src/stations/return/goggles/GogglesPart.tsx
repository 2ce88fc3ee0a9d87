import { Plus } from 'lucide-react';
import { useState } from 'react';
import { RANGES } from '../../../api/generated/ranges';
import { freeId, makeEdit } from '../../../api/edits';
import type { GogglesItem, Setup, SetupView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { GogglesPage } from './GogglesPage';
import { WarningField } from './WarningField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const PAGES = [1, 2, 3] as const;

/** What the goggles show, page by page in reading order, and what they warn of. */
export function GogglesPart({ setup, view, changes }: Props) {
  const { goggles } = setup;
  const { lines, paging } = view.goggles;
  const [open, setOpen] = useState<string | null>(null);
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['goggles', ...path], value }]));
  if (!goggles)
    return (
      <section aria-label="No goggles">
        <p className="mb-2 max-w-[70ch]">
          What the goggles show is not written down. With it, items that stay empty, that stand over each other, or that
          warn elsewhere than the voice does are found.
        </p>
        <Button look="solid" onClick={() => put('What the goggles show', [], { items: {} })}>
          Write down the goggles
        </Button>
      </section>
    );
  const add = (page: number) => {
    const id = freeId('item', goggles.items ?? {});
    const rows = lines.filter((l) => l.item.page === page).map((l) => l.item.row ?? 1);
    const item: GogglesItem = { shows: 'pack-voltage', page, row: Math.min(20, Math.max(0, ...rows) + 1), column: 1 };
    put('Add an item to the goggles', ['items', id], item);
    setOpen(id);
  };
  return (
    <>
      <p className="mb-2 max-w-[80ch] text-soft">
        Voltage first, then the signal, then what else is needed at a glance. Row and column as they stand in the
        picture; here they are listed as they are read.
      </p>
      <div className="grid grid-cols-3 gap-x-6 gap-y-4 max-lg:grid-cols-1">
        {PAGES.map((page) => (
          <section key={page} aria-labelledby={`page-${page}`}>
            <h2 id={`page-${page}`} className="flex items-baseline gap-2 border-b-2 border-ink font-bold">
              Page {page}
              <small className="font-normal text-soft">
                {page === 1 ? 'shown first' : paging === '' ? 'nothing turns the pages' : paging}
              </small>
            </h2>
            <GogglesPage
              lines={lines.filter((l) => l.item.page === page)}
              subjects={view.goggles.subjects}
              open={open}
              onOpen={setOpen}
              changes={changes}
              onPut={(id, title, item) => put(title, ['items', id], item)}
            />
            <Button className="mt-1.5" onClick={() => add(page)}>
              <Plus size={15} aria-hidden /> Item
            </Button>
          </section>
        ))}
      </div>
      <section aria-labelledby="goggles-warn" className="mt-4">
        <h2 id="goggles-warn" className="text-lg font-bold">
          They warn
        </h2>
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <WarningField
            name="of the battery"
            label="below, for each cell"
            unit="V"
            step={0.01}
            value={goggles.cellWarning ?? null}
            first={3.5}
            range={RANGES['goggles.cellWarning']}
            onPut={(v) =>
              put(
                v === null ? 'The goggles do not warn of the battery' : `The goggles warn below ${v} V`,
                ['cellWarning'],
                v ?? undefined,
              )
            }
          />
          <WarningField
            name="of the signal"
            label="below"
            unit="%"
            step={1}
            value={goggles.signalWarning ?? null}
            first={50}
            range={RANGES['goggles.signalWarning']}
            onPut={(v) =>
              put(
                v === null ? 'The goggles do not warn of the signal' : `The goggles warn below ${v} %`,
                ['signalWarning'],
                v ?? undefined,
              )
            }
          />
        </div>
      </section>
    </>
  );
}
