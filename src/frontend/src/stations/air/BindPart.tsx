import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { bindsQuery, linkProfilesQuery } from '../../api/queries';
import type { BindStep, BindView, Setup } from '../../api/types';
import { UnreadableEvidence } from '../../edits/UnreadableEvidence';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Term } from '../../ui/Term';
import { BindWriter } from './BindWriter';

interface Props {
  id: string;
  setup: Setup;
}

/** How a receiver of the chosen system is bound, step by step, and the record of what was seen. */
export function BindPart({ id, setup }: Props) {
  const { data: profiles = [] } = useQuery(linkProfilesQuery);
  const { data: binds = [] } = useQuery(bindsQuery(id));
  const [writing, setWriting] = useState(false);
  const chosen = profiles.find((p) => p.profile.id === setup.air.profile);
  const profile = chosen?.profile;
  if (writing && profile) return <BindWriter profile={profile} onDone={() => setWriting(false)} />;
  return (
    <div className="max-w-4xl">
      {chosen?.own && (
        <Button className="mb-3" onClick={() => setWriting(true)}>
          Write down how it is bound
        </Button>
      )}
      {profile && (profile.bind ?? []).length > 0 ? (
        <Guide key={profile.id} id={id} name={profile.name} steps={profile.bind ?? []} binds={binds} />
      ) : (
        <Notice title="No way to bind is known">
          <p>
            Choose a radio system on the part “Link”; each says how its receivers are bound. Of one that you keep as
            your own you write the steps yourself.
          </p>
        </Notice>
      )}
      <UnreadableEvidence setup={id} />
      <Records binds={binds} />
    </div>
  );
}

type Seen = 'yes' | 'no' | undefined;

function Guide({
  id,
  name,
  steps,
  binds,
}: {
  id: string;
  name: string;
  steps: readonly BindStep[];
  binds: readonly BindView[];
}) {
  const client = useQueryClient();
  const [seen, setSeen] = useState<readonly Seen[]>([]);
  const [lights, setLights] = useState<Readonly<Record<number, string>>>({});
  const [words, setWords] = useState({ moduleFirmware: '', receiverFirmware: '', options: '', note: '' });
  const record = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/binds', {
          params: { path: { id } },
          body: {
            ...words,
            steps: steps.map((step, i) => ({ do: step.do, asExpected: seen[i] === 'yes', light: lights[i] ?? '' })),
          },
        }),
      ),
    onSuccess: () => {
      setSeen([]);
      setLights({});
      return client.invalidateQueries({ queryKey: ['setup', id] });
    },
  });
  const done = steps.every((_, i) => seen[i] !== undefined);
  return (
    <section aria-labelledby="guide" className="mb-6">
      <h2 id="guide" className="text-lg font-bold">
        <Term word="bind">Binding</Term> a receiver of {name}
      </h2>
      <ol>
        {steps.map((step, i) => (
          <li key={step.do} className="grid grid-cols-[1.75rem_1fr] gap-x-2 border-b border-hair py-2">
            <b className="text-right font-mono text-lg leading-tight">{i + 1}</b>
            <div>
              <p>{step.do}</p>
              <SeenBefore step={step} binds={binds} />
              {step.light && (
                <p className="text-sm text-soft">
                  <b>Then you see, for example:</b> {step.light}
                </p>
              )}
              <div className="mt-1 flex flex-wrap gap-4" role="radiogroup" aria-label={`Step ${i + 1}`}>
                {(['yes', 'no'] as const).map((value) => (
                  <label key={value} className="flex h-8 items-center gap-1.5 text-sm">
                    <input
                      type="radio"
                      className="size-5 accent-sea"
                      name={`step-${i}`}
                      checked={seen[i] === value}
                      onChange={() => setSeen(steps.map((_, k) => (k === i ? value : seen[k])))}
                    />
                    {value === 'yes' ? (step.light ? 'seen' : 'done') : step.light ? 'something else' : 'not done'}
                  </label>
                ))}
              </div>
              {seen[i] && step.light && (
                <Line
                  label="In your own words, for the next time"
                  value={lights[i] ?? ''}
                  max={120}
                  wide
                  onChange={(v) => setLights({ ...lights, [i]: v })}
                />
              )}
              {seen[i] === 'no' && step.otherwise && (
                <p className="mt-1 rounded-sm bg-ochre-wash px-2 py-1 text-sm">{step.otherwise}</p>
              )}
            </div>
          </li>
        ))}
      </ol>
      <form
        className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          record.mutate();
        }}
      >
        <Line
          label="Firmware of the module"
          value={words.moduleFirmware}
          max={40}
          onChange={(v) => setWords({ ...words, moduleFirmware: v })}
        />
        <Line
          label="Firmware of the receiver"
          value={words.receiverFirmware}
          max={40}
          onChange={(v) => setWords({ ...words, receiverFirmware: v })}
        />
        <Line
          label="Options chosen"
          value={words.options}
          max={200}
          wide
          onChange={(v) => setWords({ ...words, options: v })}
        />
        <Line label="What else" value={words.note} max={400} wide onChange={(v) => setWords({ ...words, note: v })} />
        <Button look="solid" type="submit" disabled={!done || record.isPending}>
          Record this bind
        </Button>
        {!done && <p className="text-sm text-soft">Say of every step what you saw.</p>}
      </form>
      {record.error && (
        <Notice title="Not recorded">
          <p>{record.error.message}</p>
        </Notice>
      )}
    </section>
  );
}

/** What this craft's own receiver showed when it was bound last: lights differ by firmware. */
function SeenBefore({ step, binds }: { step: BindStep; binds: readonly BindView[] }) {
  const noted = binds.flatMap((bind) =>
    (bind.record.steps ?? []).filter((s) => s.do === step.do && s.light).map((s) => ({ at: bind.takenAt, ...s })),
  );
  const last = noted[0];
  return (
    last && (
      <p className="text-sm">
        <b>Seen on {new Date(last.at).toLocaleDateString()}:</b> {last.light}
      </p>
    )
  );
}

function Line({
  label,
  value,
  max,
  wide = false,
  onChange,
}: {
  label: string;
  value: string;
  max: number;
  wide?: boolean;
  onChange: (value: string) => void;
}) {
  return (
    <label className="text-sm text-soft">
      {label}
      <input
        className={clsx(
          'block h-8 max-w-full rounded border border-edge bg-sheet px-2 font-semibold text-ink',
          wide ? 'w-72' : 'w-44',
        )}
        value={value}
        maxLength={max}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

function Records({ binds }: { binds: readonly BindView[] }) {
  return (
    <section aria-labelledby="binds">
      <h2 id="binds" className="text-lg font-bold">
        {binds.length === 0 ? 'No bind is recorded' : 'Binds that were recorded'}
      </h2>
      {binds.length === 0 && (
        <p className="text-soft">
          A record keeps versions, options and date. It goes stale when the system, the module, the receiver, the band
          or the behaviour on a loss is changed.
        </p>
      )}
      <ul>
        {binds.map((bind) => (
          <li key={bind.id} className="border-b border-hair py-2">
            <p className="flex flex-wrap gap-x-4">
              <time className="font-bold" dateTime={bind.takenAt}>
                {new Date(bind.takenAt).toLocaleString()}
              </time>
              <b className={bind.changed.length > 0 ? 'text-rust' : bind.asExpected ? 'text-moss' : 'text-ochre'}>
                {bind.changed.length > 0
                  ? `stale: changed since are ${bind.changed.join(', ')}`
                  : bind.asExpected
                    ? 'as it should be'
                    : 'not all as it should be'}
              </b>
            </p>
            <p className="text-sm text-soft">
              {[
                bind.record.moduleFirmware && `module ${bind.record.moduleFirmware}`,
                bind.record.receiverFirmware && `receiver ${bind.record.receiverFirmware}`,
                bind.record.options,
                bind.record.note,
              ]
                .filter(Boolean)
                .join(' · ') || 'no versions noted'}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
