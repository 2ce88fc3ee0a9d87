import { RANGES } from '../../../api/generated/ranges';
import { Plus } from 'lucide-react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Setup } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { LookAtDrafts } from '../../../edits/LookAtDrafts';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { EnabledBox } from '../../../ui/EnabledBox';
import { Lamp } from '../../../ui/Lamp';
import { NumberField } from '../../../ui/NumberField';
import { SelectField } from '../../../ui/SelectField';
import { TextField } from '../../../ui/TextField';
import { Term } from '../../../ui/Term';

interface Props {
  setup: Setup;
  changes: Changes;
}

/** What is forced to a value, when, and whether it is enabled. */
export function OverrideTable({ setup, changes }: Props) {
  const forced = useBenchState((s) => Object.values(s.message?.snapshot.forced ?? {}));
  const { channels, conditions = {}, overrides = {} } = setup.model;
  const put = (title: string, id: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'overrides', id, member], value }]));
  const sorted = Object.entries(overrides).sort(([, a], [, b]) => (a.order ?? 0) - (b.order ?? 0));
  const firstCondition = listed(conditions)[0]?.[0];
  const firstChannel = listed(channels)[0]?.[0];
  const add = () => {
    const id = freeId('override', overrides);
    const value = {
      label: 'New override',
      channel: firstChannel,
      when: firstCondition,
      value: -100,
      order: 10 + Math.max(0, ...Object.values(overrides).map((o) => o.order ?? 0)),
      enabled: false,
    };
    void changes.edit(makeEdit('Add an override', setup, [{ path: ['model', 'overrides', id], value }]));
  };
  return (
    <section aria-labelledby="overrides">
      <h2 id="overrides" className="text-lg font-bold">
        Overrides
      </h2>
      <p className="max-w-[70ch] text-soft">
        While its condition holds, an <Term word="override" /> sends its value instead of the{' '}
        <Term word="chain">chain&apos;s</Term>,{' '}
        {setup.transmitter.forcedPastEnds === false ? 'held within the ends.' : 'past the low and high ends.'} One that
        is not enabled does nothing. On one channel the upper one wins.
      </p>
      <LookAtDrafts changes={changes}>
        <ul>
          {sorted.map(([id, made]) => (
            <li key={id} className="flex flex-wrap items-end gap-x-3 gap-y-2 border-b border-hair py-2">
              <span className="flex h-8 items-center">
                <Lamp on={forced.includes(id)} words={['forces now', 'does not force now']} />
              </span>
              <TextField
                label="What for"
                value={made.label}
                maxLength={40}
                width={18}
                onCommit={(v) => put(`Override ${v}`, id, 'label', v)}
              />
              <SelectField
                label="Forces"
                value={made.channel}
                options={Object.entries(channels)
                  .sort(([, a], [, b]) => a.number - b.number)
                  .map(([key, c]) => ({ value: key, label: `${c.number} ${c.label}` }))}
                onChange={(v) => put(`${made.label} forces another channel`, id, 'channel', v)}
              />
              <NumberField
                label="to"
                unit="%"
                value={made.value}
                {...RANGES['model.overrides.*.value']}
                step={0.1}
                onCommit={(v) => put(`${made.label}: ${v} %`, id, 'value', v)}
              />
              <SelectField
                label="while"
                value={made.when}
                options={listed(conditions).map(([key, c]) => ({ value: key, label: `“${c.label}” holds` }))}
                onChange={(v) => put(`${made.label} waits for another condition`, id, 'when', v)}
              />
              <EnabledBox
                enabled={made.enabled !== false}
                onChange={(v) => put(`${made.label} ${v ? 'enabled' : 'not enabled'}`, id, 'enabled', v)}
              />
              <RemoveButton place={`/model/overrides/${id}`} name={made.label} changes={changes} />
            </li>
          ))}
        </ul>
      </LookAtDrafts>
      <Button className="mt-2" onClick={add} disabled={!firstCondition || !firstChannel}>
        <Plus size={15} aria-hidden /> Override
      </Button>
      {!firstCondition && <span className="ml-2 text-sm text-soft">An override needs a condition first.</span>}
    </section>
  );
}
