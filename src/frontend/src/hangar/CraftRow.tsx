import { Archive, Copy, Download } from 'lucide-react';
import { Link } from 'react-router';
import type { SetupSummary } from '../api/types';
import { CraftPath } from './CraftPath';
import { NewCraft } from './NewCraft';
import { useShelf } from './useShelf';
import { VerdictLines } from './VerdictLines';

/** One craft: its name, what is wrong, when it was saved, and what can be done with it. */
export function CraftRow({ setup }: { setup: SetupSummary }) {
  const shelf = useShelf();
  return (
    <li className="grid grid-cols-[minmax(0,5fr)_minmax(0,5fr)_auto] items-center gap-x-6 gap-y-2 border-b border-line py-5 max-md:grid-cols-1">
      <div>
        <h2 className="text-2xl font-bold tracking-tight">
          <Link
            className="target inline-block underline decoration-line decoration-2 underline-offset-4 hover:decoration-sea"
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
          className="target grid size-9 place-items-center rounded hover:bg-hair"
          href={`/api/setups/${setup.id}/export`}
          download
          aria-label={`Download ${setup.name}`}
          title={`Download ${setup.name}`}
        >
          <Download size={19} aria-hidden />
        </a>
        <NewCraft
          copyOf={setup.id}
          trigger={
            <button
              type="button"
              className="grid size-9 place-items-center rounded hover:bg-hair"
              aria-label={`New craft as a copy of ${setup.name}`}
              title={`New craft as a copy of ${setup.name}`}
            >
              <Copy size={19} aria-hidden />
            </button>
          }
        />
        <button
          type="button"
          className="grid size-9 place-items-center rounded hover:bg-hair"
          aria-label={`Put ${setup.name} away`}
          title={`Put ${setup.name} away; it can be brought back`}
          disabled={shelf.isPending}
          onClick={() => shelf.mutate({ id: setup.id, away: true })}
        >
          <Archive size={19} aria-hidden />
        </button>
      </div>
      {shelf.error && (
        <p role="alert" className="text-rust">
          {shelf.error.message}
        </p>
      )}
    </li>
  );
}

function State({ setup }: { setup: SetupSummary }) {
  return (
    <div className="flex flex-col gap-2">
      <VerdictLines setup={setup} />
      <CraftPath lines={setup.lines} />
      <p className="text-[0.93rem]">
        <Link className="underline decoration-line underline-offset-2" to={`/craft/${setup.id}/work`}>
          <b>
            {setup.stepsDone} of {setup.stepsNeeded}
          </b>{' '}
          steps done
        </Link>
        {setup.nextStep !== null && <span className="text-soft"> · next: {setup.nextStep}</span>}
      </p>
    </div>
  );
}
