import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Download, FileWarning, Undo2 } from 'lucide-react';
import { answer, api } from '../api/client';
import { setupsQuery, unreadableQuery } from '../api/queries';
import type { UnreadableDocument } from '../api/types';
import { Button } from '../ui/Button';

const KINDS: Record<UnreadableDocument['kind'], string> = {
  setup: 'Setup',
  evidence: 'Evidence',
  'link-profile': 'Radio system',
  'data-file': 'Data file',
};

/** What is stored and cannot be read: shown as such, and given away as it is. Nothing when all can be read. */
export function Unreadable({
  documents,
  isDamaged,
}: {
  documents: readonly UnreadableDocument[];
  /** True when the data file itself is told to be damaged or gone. */
  isDamaged: boolean;
}) {
  if (documents.length === 0) return null;
  return (
    <section aria-labelledby="unreadable" className="mt-8">
      <h2 id="unreadable" className="flex items-center gap-2 text-xl font-bold text-rust">
        <FileWarning size={20} aria-hidden /> Cannot be read · {documents.length}
      </h2>
      <p className="text-soft">
        Damaged, or written by another version of the program. It is kept as it is
        {isDamaged ? '.' : '; everything else works as usual.'}
      </p>
      <ul>
        {documents.map((document) => (
          <UnreadableRow key={`${document.kind} ${document.id}`} document={document} />
        ))}
      </ul>
    </section>
  );
}

function UnreadableRow({ document }: { document: UnreadableDocument }) {
  const { kind, id, name, setup, revision, reason, undoTitle } = document;
  const client = useQueryClient();
  const settled = {
    onSettled: () =>
      Promise.all([setupsQuery, unreadableQuery].map(({ queryKey }) => client.invalidateQueries({ queryKey }))),
  };
  const undo = useMutation({
    ...settled,
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/undo', {
          params: { path: { id } },
          headers: { 'If-Match': `"${revision}"` },
        }),
      ),
  });
  const forget = useMutation({
    ...settled,
    mutationFn: () =>
      api.DELETE('/api/link-profiles/{profile}', { params: { path: { profile: id } } }).then(() => null),
  });
  const called = kind === 'evidence' && id ? `${KINDS[kind]} ${id} of ${setup}: ${name}` : `${KINDS[kind]} ${name}`;
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line py-4">
      <div className="min-w-0 flex-1 basis-80">
        <h3 className="text-lg font-bold">{called}</h3>
        <p className="text-[0.93rem] wrap-anywhere">{reason}</p>
        <p className="text-[0.87rem] text-soft">
          {revision !== null && `revision ${revision} · `}
          {document.savedAt && (
            <>
              saved{' '}
              <time dateTime={document.savedAt}>
                {new Date(document.savedAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
              </time>
            </>
          )}
        </p>
        {undo.error && (
          <p role="alert" className="font-semibold text-rust">
            {undo.error.message}
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        {undoTitle && (
          <Button disabled={undo.isPending} onClick={() => undo.mutate()}>
            <Undo2 size={16} aria-hidden /> Go back to before “{undoTitle}”
          </Button>
        )}
        {kind === 'link-profile' && (
          <Button disabled={forget.isPending} onClick={() => forget.mutate()}>
            Forget it
          </Button>
        )}
        {/* Of a damaged list only its place is known. */}
        {id && (
          <a
            className="inline-flex min-h-8 items-center gap-1.5 rounded border border-edge bg-sheet px-2.5 text-sm font-semibold hover:border-ink"
            href={`/api/stored/${kind}/${id}`}
            download
          >
            <Download size={16} aria-hidden /> Take its file away
          </a>
        )}
      </div>
    </li>
  );
}
