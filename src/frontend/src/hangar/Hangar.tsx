import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { setupsQuery, unreadableQuery } from '../api/queries';
import { PlainHeader } from '../shell/PlainHeader';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { CraftRow } from './CraftRow';
import { LoadFile } from './LoadFile';
import { NewCraft } from './NewCraft';
import { PutAway } from './PutAway';
import { Unreadable } from './Unreadable';

/** While proofs go on, the craft are looked at again so often, in milliseconds. */
const LOOK = 1500;

/** All craft, each with what is wrong with its setup. */
export function Hangar() {
  // The proofs of the craft come one after the other.
  const setups = useQuery({
    ...setupsQuery,
    refetchInterval: ({ state }) => (state.data?.some((s) => s.running) ? LOOK : false),
  });
  const unreadable = useQuery(unreadableQuery);
  const client = useQueryClient();
  const bring = useMutation({
    mutationFn: () => answer(api.POST('/api/demo')),
    onSettled: () => client.invalidateQueries({ queryKey: setupsQuery.queryKey }),
  });
  const file = unreadable.data?.find((d) => d.kind === 'data-file');
  return (
    <div className="mx-auto max-w-6xl px-6 pb-10 max-sm:px-3">
      <title>Hangar · Zephyros</title>
      <PlainHeader />
      <main>
        <div className="flex flex-wrap items-end justify-between gap-4 border-b-2 border-ink pb-3">
          <div>
            <h1 className="text-4xl font-extrabold tracking-tight">Hangar</h1>
            {setups.data && (
              <p className="max-w-[62ch] text-soft">
                {setups.data.length} craft. Plan a transmitter model for a flight controller, see what every stick and
                switch makes the craft do, and prove it safe before a motor turns.
              </p>
            )}
          </div>
          <div className="flex flex-wrap items-start gap-2">
            <LoadFile />
            <NewCraft />
          </div>
        </div>
        {file && (
          <div className="pt-6">
            <Notice title={file.reason} />
          </div>
        )}
        {setups.isPending && (
          <p className="py-6" role="status">
            Looking for your craft…
          </p>
        )}
        {setups.error && (
          <div className="py-6">
            <Notice title={setups.error.message}>
              <Button className="mt-2" onClick={() => void setups.refetch()}>
                Try again
              </Button>
            </Notice>
          </div>
        )}
        {setups.data?.length === 0 && unreadable.data?.length === 0 && (
          <div className="max-w-[60ch] py-8">
            <h2 className="text-xl font-bold">No craft yet</h2>
            <p className="mt-1">
              Start a new craft, or load a setup file that you or somebody else has downloaded from Zephyros. To look
              around first, take the three craft of the Skerry Light crew, who are made up, as are their mistakes; they
              can be put away again.
            </p>
            <Button className="mt-3" onClick={() => bring.mutate()} disabled={bring.isPending}>
              Bring three made-up craft
            </Button>
            {bring.error && <p role="alert">{bring.error.message}</p>}
          </div>
        )}
        <ul>
          {setups.data?.map((setup) => (
            <CraftRow key={setup.id} setup={setup} />
          ))}
        </ul>
        <PutAway />
        <Unreadable documents={unreadable.data?.filter((d) => d !== file) ?? []} isDamaged={file !== undefined} />
        <p className="mt-6 max-w-[80ch] text-[0.93rem] text-soft">
          Propellers off for everything on the bench. A simulated pass is not a bench pass, and a bench pass is not a
          flight test. Local law and licensed practice decide on power, band and flying.
        </p>
        <p className="mt-3 text-[0.87rem] text-soft">
          <Link className="underline" to="/figures">
            Where figures come from
          </Link>{' '}
          ·{' '}
          <Link className="underline" to="/words">
            Words
          </Link>{' '}
          · Licences of what this is made of:{' '}
          {['interface', 'fonts', 'server'].map((part, i) => (
            <span key={part}>
              {i > 0 && ' · '}
              <a className="underline" href={`/licences-${part}.txt`}>
                {part}
              </a>
            </span>
          ))}
        </p>
      </main>
    </div>
  );
}
