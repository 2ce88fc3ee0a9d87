import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import type { Suspect } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';

const STANDINGS = {
  shown: { words: 'this setup does it', look: 'text-rust' },
  open: { words: 'look at it', look: 'text-ink' },
  unlikely: { words: 'not in this setup', look: 'text-soft' },
} as const;

/** From what is seen on the bench to what may be behind it, the likeliest first. */
export function SymptomsPart({ id, changes }: { id: string; changes: Changes }) {
  const { data: symptoms = [] } = useQuery({
    queryKey: ['setup', id, 'symptoms'],
    queryFn: () => answer(api.GET('/api/setups/{id}/symptoms', { params: { path: { id } } })),
  });
  const [chosen, setChosen] = useState('');
  const now = symptoms.find((s) => s.id === chosen) ?? symptoms[0];
  return (
    <>
      <p className="mb-3 max-w-[75ch] text-soft">
        Propellers off. Choose what you see. Causes that this setup has come first, then those that only a look at the
        craft can tell.
      </p>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-[minmax(15rem,20rem)_1fr]">
        <div role="radiogroup" aria-label="What is seen">
          {symptoms.map((symptom) => {
            const shown = symptom.suspects.filter((s) => s.standing === 'shown').length;
            return (
              <label
                key={symptom.id}
                className={clsx(
                  'flex cursor-pointer gap-2 border-b border-hair px-2 py-2 has-focus-visible:outline-2',
                  symptom === now && 'bg-sea-wash',
                )}
              >
                <input
                  type="radio"
                  name="symptom"
                  className="mt-1"
                  checked={symptom === now}
                  onChange={() => setChosen(symptom.id)}
                />
                <span>
                  {symptom.title}
                  {shown > 0 && (
                    <b className="block text-sm text-rust">
                      {shown} {shown === 1 ? 'cause' : 'causes'} in this setup
                    </b>
                  )}
                </span>
              </label>
            );
          })}
        </div>
        {now && (
          <section aria-labelledby="causes">
            <h2 id="causes" className="text-lg font-bold">
              {now.title}
            </h2>
            <ol className="mt-1">
              {now.suspects.map((suspect, i) => (
                <Cause key={suspect.what} rank={i + 1} suspect={suspect} changes={changes} />
              ))}
            </ol>
          </section>
        )}
      </div>
    </>
  );
}

function Cause({ rank, suspect, changes }: { rank: number; suspect: Suspect; changes: Changes }) {
  const { words, look } = STANDINGS[suspect.standing];
  return (
    <li className="grid grid-cols-[1.6rem_1fr] border-b border-hair py-2">
      <span className="font-mono font-semibold text-soft">{rank}</span>
      <div>
        <p className={suspect.standing === 'unlikely' ? 'text-soft' : 'font-semibold'}>{suspect.what}</p>
        <p className="text-sm">
          <b className={look}>{words}</b> <span className="text-soft">· {suspect.check}</span>
        </p>
        {suspect.findings.map((finding) => (
          <div key={finding.key} className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
            <span>{finding.what}</span>
            {finding.fixes.map((fix) => (
              <EditButton
                key={fix.id}
                edit={fix.edit}
                effect={fix.effect}
                onTake={() => void changes.fix(finding.key, fix.id)}
              />
            ))}
          </div>
        ))}
      </div>
    </li>
  );
}
