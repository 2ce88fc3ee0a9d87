import type { ReactNode } from 'react';
import type { RoutineState } from '../../api/types';

interface Props {
  state: Pick<RoutineState, 'prompt' | 'problem'>;
  label?: string;
  children: ReactNode;
}

/** A routine's step, made to be read from where the transmitter is held, and what belongs to it. */
export function RoutinePanel({ state, label = 'Guided routine', children }: Props) {
  return (
    <div className="w-full max-w-4xl rounded border-2 border-sea bg-sea-wash p-4" role="group" aria-label={label}>
      <p aria-live="assertive" className="text-3xl leading-tight font-bold">
        {state.prompt}
      </p>
      {state.problem && (
        <p role="alert" className="mt-1 text-lg font-semibold text-rust">
          {state.problem}
        </p>
      )}
      {children}
    </div>
  );
}
