import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { changesQuery, revisionsQuery } from '../api/queries';
import type { RevisionEntry } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { SelectField } from '../ui/SelectField';
import { Sheet } from '../ui/Sheet';
import { TextField } from '../ui/TextField';

const WORDS = { create: '', edit: '', undo: 'Undid: ', redo: 'Did again: ' };

interface Props {
  id: string;
  changes: Changes;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

/** Every saved revision of the craft, newest first: what differs between two of them, their names, and the way back to one. */
export function HistorySheet({ id, changes, open, onOpenChange }: Props) {
  const revisions = useQuery({ ...revisionsQuery(id), enabled: open });
  const [base, setBase] = useState<number | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const newest = revisions.data?.[0]?.number ?? 1;
  const to = chosen ?? newest;
  const since = base ?? Math.max(1, to - 1);
  const options = (revisions.data ?? []).map((r) => ({ value: String(r.number), label: called(r) }));
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="History"
      description="Every saved state, newest first. Nothing is ever lost: going back is a new state too."
    >
      {revisions.error && <Notice title={revisions.error.message} />}
      {newest > 1 && (
        <section aria-label="What differs" className="mb-4 rounded border border-line bg-sheet p-3">
          <div className="flex flex-wrap items-end gap-3">
            <SelectField label="From" value={String(since)} options={options} onChange={(v) => setBase(Number(v))} />
            <SelectField label="to" value={String(to)} options={options} onChange={(v) => setChosen(Number(v))} />
          </div>
          <Differences id={id} since={since} to={to} />
        </section>
      )}
      <ol>
        {revisions.data?.map((entry) => (
          <Revision
            key={entry.number}
            id={id}
            entry={entry}
            isNewest={entry.number === newest}
            onBack={() => void changes.restore(entry.number)}
          />
        ))}
      </ol>
    </Sheet>
  );
}

const called = ({ number, name, title }: RevisionEntry) => `${number}: ${name === '' ? title : name}`;

/** What differs between two revisions, in words. */
function Differences({ id, since, to }: { id: string; since: number; to: number }) {
  const { data, error } = useQuery(changesQuery(id, since, to));
  if (error) return <Notice title={error.message} />;
  if (!data) return <p role="status">Comparing…</p>;
  if (data.length === 0) return <p className="mt-2 text-soft">Both say the same.</p>;
  return (
    <table className="mt-2 w-full text-[0.93rem]">
      <thead>
        <tr className="border-b border-line text-left text-[0.84rem] text-soft">
          <th className="font-semibold">What</th>
          <th className="font-semibold">Revision {since}</th>
          <th className="font-semibold">Revision {to}</th>
        </tr>
      </thead>
      <tbody>
        {data.map(({ where, before, after }) => (
          <tr key={where} className="border-b border-hair align-top">
            <td className="py-1 pr-3 font-semibold">{where}</td>
            <td className="pr-3">{before === '' ? 'not there' : before}</td>
            <td>{after === '' ? 'not there' : after}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface RevisionProps {
  id: string;
  entry: RevisionEntry;
  isNewest: boolean;
  onBack: () => void;
}

function Revision({ id, entry, isNewest, onBack }: RevisionProps) {
  const client = useQueryClient();
  const name = useMutation({
    mutationFn: (name: string) =>
      answer(
        api.PUT('/api/setups/{id}/revisions/{number}/name', {
          params: { path: { id, number: entry.number } },
          body: { name },
        }),
      ),
    onSuccess: (all) => client.setQueryData(revisionsQuery(id).queryKey, all),
  });
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)_auto] items-center gap-3 border-b border-hair py-1.5 max-sm:grid-cols-[2.5rem_minmax(0,1fr)]">
      <b className="text-right font-mono">{entry.number}</b>
      <span>
        {WORDS[entry.kind]}
        {entry.title}
        {entry.shows !== entry.number && <span className="text-soft"> (as revision {entry.shows})</span>}
        <time className="block text-[0.84rem] text-soft" dateTime={entry.savedAt}>
          {new Date(entry.savedAt).toLocaleString()}
        </time>
        {name.error && <span className="font-semibold text-rust">{name.error.message}</span>}
      </span>
      <span className="flex items-center gap-2 max-sm:col-start-2">
        <TextField
          quiet
          label={`Name of revision ${entry.number}`}
          placeholder="name it, as “as flown”"
          value={entry.name}
          maxLength={60}
          width={18}
          onCommit={(v) => name.mutate(v)}
        />
        <Button disabled={isNewest} aria-label={`Go back to revision ${entry.number}`} onClick={onBack}>
          Go back
        </Button>
      </span>
    </li>
  );
}
