import { useMutation } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { array, boolean, looseObject, nullable, picklist, string, type GenericSchema } from 'valibot';
import { answer, api, reasonOf } from '../../api/client';
import type { BoardReadings, RoutineKind, RoutineState, StickAxis, TypedReading } from '../../api/types';
import { Button } from '../../ui/Button';
import { SelectField } from '../../ui/SelectField';
import { useKept } from '../../ui/useKept';
import { RoutinePanel } from './RoutinePanel';

/** A routine that is under way: what was typed, and where that leads. */
interface Typing {
  kind: RoutineKind;
  readings: readonly TypedReading[];
  state: RoutineState;
}

// What the server said of it is looked at only so far: a panel that cannot show the rest is told by itself.
const typingShape = nullable(
  looseObject({
    kind: picklist(['sticks', 'switches']),
    readings: array(looseObject({})),
    state: looseObject({ done: boolean(), prompt: string(), readings: looseObject({}) }),
  }),
) as unknown as GenericSchema<Typing | null>;

/** The measuring routine for a real board: it asks for what the board shows, one reading after the other. */
export function TypedRoutine({ id, onDone }: { id: string; onDone: (readings: BoardReadings) => void }) {
  const [typing, keep] = useKept(`zephyros.typing.${id}`, typingShape, null);
  const follow = useMutation({
    mutationFn: (next: { kind: RoutineKind; readings: readonly TypedReading[] }) =>
      answer(
        api.POST('/api/setups/{id}/typed-routine', {
          params: { path: { id } },
          body: { kind: next.kind, readings: [...next.readings] },
        }),
      ),
    onSuccess: (state, next) => {
      keep(state.done ? null : { ...next, state });
      if (state.done) onDone(state.readings);
    },
  });
  if (!typing)
    return (
      <>
        <Button look="solid" onClick={() => follow.mutate({ kind: 'sticks', readings: [] })}>
          Type the sticks, step by step
        </Button>
        <Button onClick={() => follow.mutate({ kind: 'switches', readings: [] })}>
          Type the switches, step by step
        </Button>
      </>
    );
  const go = (readings: readonly TypedReading[]) => follow.mutate({ kind: typing.kind, readings });
  const { readings, state } = typing;
  return (
    <RoutinePanel state={{ ...state, problem: reasonOf(follow.error) }}>
      <Reading key={readings.length} state={state} onRead={(reading) => go([...readings, reading])} />
      <p className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-soft">
        {state.seen} of {state.count} done.
        <Button disabled={readings.length === 0} onClick={() => go(readings.slice(0, -1))}>
          Back
        </Button>
        <Button onClick={() => go([...readings, {}])}>Leave this one out</Button>
        <Button
          onClick={() => {
            follow.reset();
            keep(null);
          }}
        >
          Stop
        </Button>
      </p>
    </RoutinePanel>
  );
}

interface ReadingProps {
  state: RoutineState;
  onRead: (reading: TypedReading) => void;
}

/** What is read for one step. The cursor stands in its first value. */
function Reading({ state: { asks }, onRead }: ReadingProps) {
  const [bar, setBar] = useState<StickAxis | undefined>(asks.bars[0]);
  const first = useRef<HTMLInputElement>(null);
  // Before anything is drawn: who types on at once loses nothing.
  useLayoutEffect(() => first.current?.select(), []);
  const values = asks.channels.length > 0 ? asks.channels.map((c) => `Channel ${c} shows`) : ['It shows'];
  const read = (typed: FormData) =>
    onRead({
      bar: asks.bars.length > 0 ? bar : undefined,
      values: typed.getAll('value').map(Number),
      jitter: Number(typed.get('jitter') ?? 0),
    });
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        read(new FormData(event.currentTarget));
      }}
    >
      {asks.bars.length > 1 ? (
        <SelectField
          label="The bar that moved"
          value={bar ?? ''}
          options={asks.bars.map((value) => ({ value, label: value }))}
          onChange={(value) => setBar(value as StickAxis)}
        />
      ) : (
        bar && (
          <p className="flex h-8 items-center">
            The bar of <b className="ml-1">{bar}</b>
          </p>
        )
      )}
      {values.map((label, i) => (
        <Figure
          key={label}
          ref={i === 0 ? first : undefined}
          name="value"
          label={label}
          begin={asks.stays ?? undefined}
        />
      ))}
      {asks.atRest && <Figure name="jitter" label="and trembles by" begin={0} />}
      <Button type="submit" look="solid">
        Next
      </Button>
    </form>
  );
}

interface FigureProps {
  name: string;
  label: string;
  begin: number | undefined;
  ref?: React.Ref<HTMLInputElement> | undefined;
}

function Figure({ name, label, begin, ref }: FigureProps) {
  return (
    <label className="flex flex-col gap-0.5 text-sm text-soft">
      {label}
      <span className="flex items-center gap-1">
        <input
          ref={ref}
          required
          name={name}
          type="number"
          inputMode="numeric"
          step="any"
          defaultValue={begin}
          autoComplete="off"
          className="h-8 w-22 rounded border border-edge bg-sheet px-2 text-right font-mono text-base font-semibold text-ink"
        />
        <span aria-hidden>µs</span>
      </span>
    </label>
  );
}
