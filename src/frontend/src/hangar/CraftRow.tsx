import clsx from 'clsx';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Check, Copy, Download, OctagonAlert, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { setupsQuery } from '../api/queries';
import type { SetupSummary } from '../api/types';
import { CraftPath } from './CraftPath';

/** One craft: its name, what is wrong, when it was saved, and what can be done with it. */
export function CraftRow({ setup }: { setup: SetupSummary }) {
  const client = useQueryClient();
  const copy = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/copies', {
          params: { path: { id: setup.id } },
          body: { name: `${setup.name} copy`.slice(0, 40) },
        }),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: setupsQuery.queryKey }),
  });
  return (
    <li className="grid grid-cols-[minmax(0,5fr)_minmax(0,5fr)_auto] items-center gap-x-6 gap-y-2 border-b border-line py-5 max-md:grid-cols-1">
      <div>
        <h2 className="text-2xl font-bold tracking-tight">
          <Link
            className="underline decoration-line decoration-2 underline-offset-4 hover:decoration-sea"
            to={`/craft/${setup.id}/model`}
          >
            {setup.name}
          </Link>
        </h2>
        <p className="text-soft">{setup.summary}</p>
        <p className="text-[0.87rem] text-soft">
          {setup.transmitter} · revision {setup.revision} · saved{' '}
          <time dateTime={setup.savedAt}>
            {new Date(setup.savedAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
          </time>
        </p>
      </div>
      <State setup={setup} />
      <div className="flex gap-1">
        <a
          className="grid size-9 place-items-center rounded hover:bg-hair"
          href={`/api/setups/${setup.id}/export`}
          download
          aria-label={`Download ${setup.name}`}
          title={`Download ${setup.name}`}
        >
          <Download size={19} aria-hidden />
        </a>
        <button
          type="button"
          className="grid size-9 place-items-center rounded hover:bg-hair"
          aria-label={`New craft as a copy of ${setup.name}`}
          title={`New craft as a copy of ${setup.name}`}
          disabled={copy.isPending}
          onClick={() => copy.mutate()}
        >
          <Copy size={19} aria-hidden />
        </button>
      </div>
      {copy.error && (
        <p role="alert" className="text-rust">
          {copy.error.message}
        </p>
      )}
    </li>
  );
}

function State({ setup }: { setup: SetupSummary }) {
  return (
    <div className="flex flex-col gap-3">
      {setup.findings.length === 0 && (
        <p className="flex items-center gap-2 font-semibold text-moss">
          <Check size={20} aria-hidden /> No rule finds a fault
        </p>
      )}
      <ul className="flex flex-col gap-1 empty:hidden">
        {setup.findings.map(({ title, severity }) => {
          const danger = severity === 'danger';
          const Icon = danger ? OctagonAlert : TriangleAlert;
          return (
            <li
              key={title}
              className={clsx('flex items-center gap-2 font-semibold', danger ? 'text-rust' : 'text-ochre')}
            >
              <Icon size={20} className="shrink-0" aria-hidden />
              <span className="sr-only">{danger ? 'Wrong:' : 'To check:'}</span> {title}
            </li>
          );
        })}
      </ul>
      <CraftPath findings={setup.findings} />
    </div>
  );
}
