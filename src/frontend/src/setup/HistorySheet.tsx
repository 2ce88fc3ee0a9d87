import { useQuery } from '@tanstack/react-query';
import { revisionsQuery } from '../api/queries';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';

const WORDS = { create: '', edit: '', undo: 'Undid: ', redo: 'Did again: ' };

/** Every saved revision of the craft, newest first. */
export function HistorySheet({
  id,
  open,
  onOpenChange,
}: {
  id: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const revisions = useQuery({ ...revisionsQuery(id), enabled: open });
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="History"
      description="Every saved state, newest first. Nothing is ever lost: an undo is a new state too."
    >
      {revisions.error && <Notice title={revisions.error.message} />}
      <ol>
        {revisions.data?.map((entry) => (
          <li key={entry.number} className="grid grid-cols-[3rem_1fr_auto] gap-3 border-b border-hair py-1.5">
            <b className="text-right font-mono">{entry.number}</b>
            <span>
              {WORDS[entry.kind]}
              {entry.title}
              {entry.shows !== entry.number && <span className="text-soft"> (as revision {entry.shows})</span>}
            </span>
            <time className="text-soft" dateTime={entry.savedAt}>
              {new Date(entry.savedAt).toLocaleString()}
            </time>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
