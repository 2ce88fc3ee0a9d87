import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { figuresQuery } from '../api/queries';
import { STATION_NAMES } from '../api/stations';
import type { Station, TradeFigure } from '../api/types';
import { PlainHeader } from '../shell/PlainHeader';
import { ChoiceField } from '../ui/ChoiceField';
import { Notice } from '../ui/Notice';

type Kind = TradeFigure['from']['kind'];

/** How well a figure can be founded, the best first. */
const KINDS: readonly { value: Kind; label: string }[] = [
  { value: 'published', label: 'published' },
  { value: 'common-practice', label: 'common practice' },
  { value: 'from-memory', label: 'from memory' },
  { value: 'own-assumption', label: 'our own assumption' },
];

/** Every figure of the trade that the program computes with, and where it comes from. */
export default function FigurePage() {
  const { data: figures = [], error, isPending } = useQuery(figuresQuery);
  const [kind, setKind] = useState<Kind | 'all'>('all');
  const count = (k: Kind) => figures.filter((f) => f.from.kind === k).length;
  const shown = figures.filter((f) => kind === 'all' || f.from.kind === kind);
  const stations = [...new Set(shown.map((f) => f.station))];
  return (
    <div className="mx-auto max-w-5xl px-6 pb-10 max-sm:px-3">
      <title>Where figures come from · Zephyros</title>
      <PlainHeader />
      <main>
        <h1 className="text-2xl font-bold">Where figures come from</h1>
        <p className="mt-1 mb-3 max-w-[75ch] text-soft">
          These are the very values that the program computes with. What is not published may be otherwise on your
          transmitter, receiver or board: its manual and a measurement at the bench count more, propellers off.
        </p>
        {isPending && <p role="status">Looking them up…</p>}
        {error && <Notice title={error.message} />}
        {figures.length > 0 && (
          <ChoiceField
            label="Show"
            value={kind}
            options={[
              { value: 'all', label: `all ${figures.length}` },
              ...KINDS.filter((k) => count(k.value) > 0).map((k) => ({
                value: k.value,
                label: `${k.label} (${count(k.value)})`,
              })),
            ]}
            onChange={setKind}
          />
        )}
        {stations.map((station) => (
          <Group key={station} station={station} figures={shown.filter((f) => f.station === station)} />
        ))}
      </main>
    </div>
  );
}

function Group({ station, figures }: { station: Station; figures: readonly TradeFigure[] }) {
  return (
    <section aria-labelledby={station} className="mt-5">
      <h2 id={station} className="border-b-2 border-ink text-lg font-bold">
        {STATION_NAMES[station]}
      </h2>
      <dl>
        {figures.map((figure) => (
          <div
            key={figure.id}
            className="grid grid-cols-[minmax(0,28rem)_8.5rem_1fr] items-baseline gap-x-4 border-b border-hair py-1.5 max-sm:grid-cols-[1fr_auto]"
          >
            <dt>{figure.name}</dt>
            <dd className="text-right font-mono font-semibold">{figure.words}</dd>
            <dd className="text-[0.87rem] text-soft max-sm:col-span-2">{figure.from.words}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
