import { RANGES } from '../../../api/generated/ranges';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Announcement, AnnouncementSubject, Setup, SetupView, Tone } from '../../../api/types';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { EnabledBox } from '../../../ui/EnabledBox';
import { SecondsField } from '../../../ui/SecondsField';
import { SelectField, type Option } from '../../../ui/SelectField';
import { focusOnce } from '../../../ui/focusOnce';
import { SentenceRow } from '../../../ui/SentenceRow';
import { Term } from '../../../ui/Term';
import { TextField } from '../../../ui/TextField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What a select offers for the board's own report; a condition cannot have this id. */
const REPORT = '';
const MODE = 'mode/';
const TIMER = 'timer/';

const NO_TONE = 'none';
const TONES = [
  { value: NO_TONE, label: 'no tone' },
  ...(['low', 'high', 'rising', 'falling'] satisfies Tone[]).map((t) => ({ value: t, label: `a ${t} tone` })),
];

const READINGS = { now: 'the reading', lowest: 'the lowest reading', highest: 'the highest reading' } as const;

const SUBJECTS: [AnnouncementSubject, string][] = [
  ['armed', 'it is armed'],
  ['disarmed', 'it is disarmed'],
  ['signal-lost', 'the signal is lost'],
  ['signal-back', 'the signal is back'],
];

/** What the transmitter says aloud, what that tells, and what sets it off. */
export function AnnouncementTable({ setup, view, changes }: Props) {
  const { conditions = {}, announcements = {} } = setup.model;
  const put = (title: string, id: string, made: Announcement) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'announcements', id], value: made }]));
  const modes: Option[] = view.modes.map((id) => ({
    value: MODE + id,
    label: `it flies by ${setup.board.functions[id]?.label}`,
    group: 'A mode',
  }));
  const subjects: Option[] = [
    ...SUBJECTS.map(([value, label]) => ({ value, label, group: 'The board' })),
    { value: MODE, label: 'it flies at rate', group: 'A mode' },
    ...modes,
    { value: 'other', label: 'something else', group: 'Other' },
  ];
  const sources = (made: Announcement): Option[] => [
    {
      value: REPORT,
      label: made.about.startsWith('signal') ? 'telemetry, lost or back' : "the board's own report",
      disabled: made.about === 'other',
    },
    ...listed(conditions).map(([key, c]) => ({ value: key, label: `“${c.label}” begins to hold` })),
  ];
  const timerName = (timer: string) => setup.model.timers?.[timer]?.label ?? timer;
  const followName = (v: string) => (v.startsWith(TIMER) ? timerName(v.slice(TIMER.length)) : sensorName(v));
  const sensorName = (sensor: string) => setup.model.sensors?.[sensor]?.label ?? sensor;
  const firstCondition = listed(conditions)[0]?.[0];
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [fresh, setFresh] = useState<string | null>(null);
  const subjectOf = (made: Announcement) => (made.about === 'mode' ? MODE + (made.function ?? '') : made.about);
  return (
    <section aria-labelledby="announcements">
      <h2 id="announcements" className="text-lg font-bold">
        Announcements
      </h2>
      <p className="max-w-[70ch] text-soft">
        Set off by a switch it may be wrong, because the board may refuse; by a <Term word="latch" /> it is truer; only
        the board&apos;s own report is true.
        {setup.air.telemetry === false && ' This link brings no telemetry, so reports do not arrive.'}
      </p>
      <ul>
        {/* By id, so that none changes its place while its words are typed. */}
        {Object.entries(announcements)
          .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }))
          .map(([id, made]) => (
            <li key={id}>
              <SentenceRow
                name={`“${made.says}”`}
                says={
                  <>
                    {made.tone && `after a ${made.tone} tone `}
                    {made.timer && `with the time of ${timerName(made.timer)} `}
                    {made.value && `with ${READINGS[made.value.reading ?? 'now']} of ${sensorName(made.value.sensor)} `}
                    {made.about === 'other'
                      ? 'is said '
                      : `tells that ${subjects.find((s) => s.value === subjectOf(made))?.label ?? 'it flies by a function that is gone'}, `}
                    {made.when
                      ? `${made.every ? `every ${made.every / 1000} s as long as` : 'once when'} “${conditions[made.when]?.label ?? made.when}” ${made.every ? 'holds' : 'begins to hold'}.`
                      : `when ${made.about.startsWith('signal') ? 'telemetry says so' : 'the board reports it'}.`}
                    {made.enabled === false && <b className="text-rust"> It is not enabled, and never said.</b>}
                  </>
                }
                open={open === id}
                made={fresh === id}
                onOpen={(now) => setOpen(now ? id : null)}
                end={<RemoveButton place={`/model/announcements/${id}`} name={`“${made.says}”`} changes={changes} />}
              >
                <TextField
                  label="Says"
                  value={made.says}
                  maxLength={40}
                  width={15}
                  onCommit={(says) => put(`Say “${says}”`, id, { ...made, says })}
                />
                <SelectField
                  label="after"
                  value={made.tone ?? NO_TONE}
                  options={TONES}
                  onChange={(v) =>
                    put(v === NO_TONE ? `“${made.says}” without a tone` : `“${made.says}” after a ${v} tone`, id, {
                      ...made,
                      tone: v === NO_TONE ? undefined : (v as Tone),
                    })
                  }
                />
                <SelectField
                  label="and then"
                  value={made.timer ? TIMER + made.timer : (made.value?.sensor ?? '')}
                  options={[
                    { value: '', label: 'nothing' },
                    ...listed(setup.model.sensors).map(([sensor, { label }]) => ({
                      value: sensor,
                      label: `the reading of ${label}`,
                    })),
                    ...listed(setup.model.timers).map(([timer, { label }]) => ({
                      value: TIMER + timer,
                      label: `the time of ${label}`,
                    })),
                  ]}
                  onChange={(v) =>
                    put(
                      v === '' ? `“${made.says}” without a value` : `“${made.says}” and ${followName(v)}`,
                      id,
                      followed(made, v),
                    )
                  }
                />
                {made.value && (
                  <SelectField
                    label="which is"
                    value={made.value.reading ?? 'now'}
                    options={[
                      { value: 'now', label: 'the one now' },
                      { value: 'lowest', label: 'the lowest' },
                      { value: 'highest', label: 'the highest' },
                    ]}
                    onChange={(v) =>
                      put(`“${made.says}” with the reading ${v}`, id, {
                        ...made,
                        value: { sensor: made.value!.sensor, reading: v as keyof typeof READINGS },
                      })
                    }
                  />
                )}
                <SelectField
                  label="which tells that"
                  value={subjectOf(made)}
                  options={subjects}
                  onChange={(v) => put(`“${made.says}” tells something else`, id, about(made, v, firstCondition))}
                />
                <SelectField
                  label="set off by"
                  value={made.when ?? REPORT}
                  options={sources(made)}
                  onChange={(v) => put(`“${made.says}” is set off otherwise`, id, setOff(made, v))}
                />
                {made.when && (
                  <SelectField
                    label="said"
                    value={made.every ? 'again' : 'once'}
                    options={[
                      { value: 'once', label: 'once' },
                      { value: 'again', label: 'again' },
                    ]}
                    onChange={(v) =>
                      put(`“${made.says}” is said ${v}`, id, { ...made, every: v === 'again' ? 2000 : undefined })
                    }
                  />
                )}
                {made.every && (
                  <SecondsField
                    label="every"
                    value={made.every}
                    {...RANGES['model.announcements.*.every']}
                    onCommit={(v) => put(`“${made.says}” every ${v / 1000} s`, id, { ...made, every: v })}
                  />
                )}
                <EnabledBox
                  enabled={made.enabled !== false}
                  onChange={(v) => put(`“${made.says}” ${v ? 'enabled' : 'not enabled'}`, id, { ...made, enabled: v })}
                />
              </SentenceRow>
            </li>
          ))}
      </ul>
      {adding ? (
        <FirstWords
          onSay={(says) => {
            setAdding(false);
            if (says === '') return;
            const id = freeId('announcement', announcements);
            put(`Add “${says}”`, id, { says, about: 'armed' });
            setOpen(id);
            setFresh(id);
          }}
        />
      ) : (
        <Button className="mt-2" onClick={() => setAdding(true)}>
          <Plus size={15} aria-hidden /> Announcement
        </Button>
      )}
    </section>
  );
}

/** A new announcement begins with what it says. Left empty, there is none. */
function FirstWords({ onSay }: { onSay: (says: string) => void }) {
  return (
    <form
      className="mt-2 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onSay((new FormData(event.currentTarget).get('says') as string).trim());
      }}
    >
      <label className="flex flex-col gap-0.5 text-sm text-soft">
        The new one says
        <input
          ref={focusOnce}
          name="says"
          maxLength={40}
          onKeyDown={(event) => event.key === 'Escape' && onSay('')}
          className="h-8 w-52 rounded border border-edge bg-sheet px-2 text-sm font-semibold text-ink"
        />
      </label>
      <Button type="submit" look="solid">
        Add it
      </Button>
      <Button onClick={() => onSay('')}>Not now</Button>
    </form>
  );
}

/** The announcement with something else after its words: nothing, a reading, or the time of a timer. */
function followed(made: Announcement, value: string): Announcement {
  const timer = value.startsWith(TIMER) ? value.slice(TIMER.length) : undefined;
  return {
    ...made,
    timer,
    value: value === '' || timer !== undefined ? undefined : { ...made.value, sensor: value },
  };
}

/** The announcement telling something else. What the board does not report needs a condition. */
function about(made: Announcement, value: string, firstCondition: string | undefined): Announcement {
  if (value.startsWith(MODE)) return { ...made, about: 'mode', function: value.slice(MODE.length) || undefined };
  const when = value === 'other' ? (made.when ?? firstCondition) : made.when;
  return { ...made, about: value as AnnouncementSubject, function: undefined, when };
}

/** Set off by a condition, or by a report, which arrives once. */
function setOff(made: Announcement, when: string): Announcement {
  return when === REPORT ? { ...made, when: undefined, every: undefined } : { ...made, when };
}
