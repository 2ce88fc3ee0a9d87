import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useLocation } from 'react-router';
import { wordsQuery } from '../api/queries';
import { PlainHeader } from '../shell/PlainHeader';
import { Notice } from '../ui/Notice';

/** The field's words, each with what it means here. */
export default function WordsPage() {
  const { data: words, error } = useQuery(wordsQuery);
  const asked = decodeURIComponent(useLocation().hash.slice(1));
  return (
    <div className="mx-auto max-w-4xl px-6 pb-10 max-sm:px-3">
      <title>Words · Zephyros</title>
      <PlainHeader />
      <main>
        <h1 className="text-2xl font-bold">Words</h1>
        <p className="mt-1 mb-3 max-w-[75ch] text-soft">
          As they are used here, along the path of the signal. In the text they have a dotted line and can be pressed.
        </p>
        {error && <Notice title={error.message} />}
        <dl className="border-t-2 border-ink">
          {words?.map(({ word, meaning, also }) => (
            <div
              key={word}
              ref={word === asked ? (row) => row?.scrollIntoView({ block: 'center' }) : undefined}
              className={clsx(
                'grid grid-cols-[13rem_1fr] gap-x-4 border-b border-hair px-2 py-1.5 max-sm:grid-cols-1',
                word === asked && 'bg-sea-wash',
              )}
            >
              <dt className="font-bold">{word}</dt>
              <dd>
                {meaning}
                {also.length > 0 && <span className="text-soft"> Also looked for as: {also.join(', ')}.</span>}
              </dd>
            </div>
          ))}
        </dl>
      </main>
    </div>
  );
}
