import clsx from 'clsx';
import { CircleCheck, CircleDashed, CircleHelp, CircleSlash, OctagonAlert } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { PromiseState, PromiseView, Setup } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { Counterexample } from './Counterexample';
import { Decision } from './Decision';
import { FixList } from './FixList';
import { PromiseFigures } from './PromiseFigures';
import { isOpen, roughly, STATE_NAMES } from './states';

const ICONS: Record<PromiseState, typeof CircleCheck> = {
  waiting: CircleDashed,
  running: CircleDashed,
  proven: CircleCheck,
  broken: OctagonAlert,
  'not-proven': CircleHelp,
  vacuous: CircleHelp,
  off: CircleSlash,
};

interface Props {
  id: string;
  promise: PromiseView;
  revision: number;
  setup: Setup;
  changes: Changes;
  /** True when a link leads to this one: it is opened and brought into view. */
  asked: boolean;
}

/** One promise with its verdict; opened, what it means exactly, what breaks it and what would keep it. */
export function PromiseRow({ id, promise, revision, setup, changes, asked }: Props) {
  const { state } = promise;
  const broken = state === 'broken' || state === 'vacuous';
  const [opened, setOpened] = useState(asked);
  const row = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (asked) row.current?.scrollIntoView({ block: 'start' });
  }, [asked]);
  const Icon = ICONS[state];
  const colour =
    state === 'broken'
      ? 'text-rust'
      : state === 'proven'
        ? 'text-moss'
        : state === 'not-proven'
          ? 'text-ochre'
          : 'text-soft';
  return (
    <details
      ref={row}
      data-testid={`promise-${promise.code}`}
      open={opened}
      onToggle={(event) => setOpened(event.currentTarget.open)}
    >
      <summary className="grid cursor-pointer grid-cols-[1.4rem_1fr_auto] items-start gap-x-2.5 px-1 py-2 hover:bg-sheet">
        <Icon size={20} aria-hidden className={clsx('mt-0.5', colour)} />
        <span>
          <b>{promise.name}</b>
          <span className="block text-[0.93rem] text-soft">
            {promise.note !== '' ? `Kept as it is: ${promise.note}` : promise.reason}
          </span>
        </span>
        <span className={clsx('font-bold whitespace-nowrap', colour)}>{STATE_NAMES[state]}</span>
      </summary>
      {opened && (
        <div className="mb-4 ml-8 flex flex-col gap-3 max-sm:ml-1">
          <p className="max-w-[75ch]">{promise.title}</p>
          <PromiseFigures code={promise.code} setup={setup} changes={changes} />
          {promise.path.length > 0 && <Counterexample id={id} promise={promise} />}
          {broken && <FixList key={revision} id={id} code={promise.code} changes={changes} />}
          {(isOpen(promise) || promise.note !== '' || state === 'off') && (
            <Decision promise={promise} changes={changes} />
          )}
          <details className="text-[0.84rem] text-soft">
            <summary className="min-h-6 cursor-pointer">Principle, assumptions and the explored model</summary>
            <ul className="mt-1 list-disc pl-4">
              <li>{promise.principle.words}</li>
              {promise.states > 0 && (
                <li>
                  {roughly(promise.states)} states, {promise.moves} moves deep, {promise.milliseconds} ms
                </li>
              )}
              {promise.assumptions.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </ul>
            {promise.states > 0 && (
              <a
                className="mt-1 inline-block font-semibold text-ink underline"
                href={`/api/setups/${id}/proof/${promise.code}/model`}
                download={`${promise.code}.pml`}
              >
                Explored model as Promela
              </a>
            )}
          </details>
        </div>
      )}
    </details>
  );
}
