import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { readyMadeQuery } from '../../../api/queries';
import type { Changes } from '../../../edits/useChanges';
import { Notice } from '../../../ui/Notice';
import { ReadyMadeForm } from './ReadyMadeForm';

interface Props {
  id: string;
  changes: Changes;
}

/** Chains that the trade builds again and again; they insert ordinary steps that can be edited afterwards. */
export function ReadyMadePart({ id, changes }: Props) {
  const chains = useQuery(readyMadeQuery(id));
  // The address may ask for one.
  const [asked] = useSearchParams();
  const [chosen, setChosen] = useState(asked.get('chain') ?? '');
  if (chains.error) return <Notice title={chains.error.message} />;
  if (!chains.data) return <p role="status">Looking for ready-made chains…</p>;
  const open = chains.data.find((c) => c.id === chosen) ?? chains.data[0]!;
  return (
    <div className="grid grid-cols-[15rem_1fr] gap-6 max-md:grid-cols-1">
      <ul aria-label="Ready-made chains">
        {chains.data.map((chain) => (
          <li key={chain.id}>
            <button
              type="button"
              aria-current={chain.id === open.id}
              className={clsx(
                'min-h-10 w-full border-b border-l-4 border-b-hair px-2 py-1.5 text-left leading-tight font-semibold hover:bg-hair',
                chain.id === open.id ? 'border-l-sea bg-sea-wash' : 'border-l-transparent',
              )}
              onClick={() => setChosen(chain.id)}
            >
              {chain.title}
            </button>
          </li>
        ))}
      </ul>
      <ReadyMadeForm key={open.id} setup={id} chain={open} changes={changes} />
    </div>
  );
}
