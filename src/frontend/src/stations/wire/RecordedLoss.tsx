import { useQuery } from '@tanstack/react-query';
import { Check, CircleCheck, TriangleAlert, Unplug } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import type { RecordedLossView } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';
import { useTick } from '../../edits/useTick';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { together } from '../../ui/figures';

interface Props {
  id: string;
  /** The wire of a recording. */
  capture: string;
  changes: Changes;
}

/** What the receiver did after the transmitter was switched off in a recording, and one fix that takes it over. */
export function RecordedLoss({ id, capture, changes }: Props) {
  // Only the pilot knows that a stick was kept moving: one that rests looks like one that is held.
  const [asked, setAsked] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['setup', id, 'recorded-loss', capture],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/setups/{id}/captures/{capture}/loss', { params: { path: { id, capture } }, signal })),
    enabled: asked,
  });
  if (!asked)
    return (
      <div className="mt-2">
        <Button onClick={() => setAsked(true)}>
          <Unplug size={15} aria-hidden /> Read a loss in it
        </Button>
        <span className="ml-3 text-sm text-soft">
          where the transmitter was switched off for some seconds and a stick was kept going round
        </span>
      </div>
    );
  if (error) return <Notice title={error.message} />;
  if (!data) return <p className="mt-2 text-soft">It is read…</p>;
  const Icon = data.fits ? CircleCheck : TriangleAlert;
  return (
    <section aria-labelledby="recorded-loss" className="mt-3 border-t border-line pt-3">
      <h4 id="recorded-loss" className="flex items-center gap-2 text-lg font-bold">
        <Icon size={19} aria-hidden className={data.fits ? 'text-moss' : 'text-rust'} />
        {data.title}
      </h4>
      <ul className="my-1 max-w-[75ch] list-disc pl-5">
        {data.words.map((words) => (
          <li key={words}>{together(words)}</li>
        ))}
        {data.fits && <li>The setup says the same.</li>}
      </ul>
      {data.fix && (
        <EditButton edit={data.fix} first label="Take it over" onTake={() => void changes.edit(data.fix!)} />
      )}
      {data.try?.asExpected && <RealTest key={data.revision} id={id} revision={data.revision} made={data.try} />}
    </section>
  );
}

type Made = NonNullable<RecordedLossView['try']>;

/** Counts the recording as the part of the real test that looks at the wire. */
function RealTest({ id, revision, made }: { id: string; revision: number; made: Made }) {
  const tick = useTick({ id, step: made.step, item: made.item, revision });
  const { asExpected, seen, after } = made;
  return (
    <>
      {!tick.isSuccess && (
        <Button disabled={tick.isPending} onClick={() => tick.mutate({ asExpected, seen, after: after ?? undefined })}>
          <Check size={15} aria-hidden /> It was the real receiver: tick the real test
        </Button>
      )}
      <p role="status">
        {tick.isSuccess && (
          <>
            Ticked in{' '}
            <Link
              className="target inline-flex items-center font-semibold underline"
              to={`/craft/${id}/work#${made.step}`}
            >
              the real test
            </Link>
            .
          </>
        )}
        {tick.error && <span className="font-semibold text-rust">Not recorded: {tick.error.message}</span>}
      </p>
    </>
  );
}
