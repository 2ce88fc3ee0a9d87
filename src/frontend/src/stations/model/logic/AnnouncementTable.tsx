import { RANGES } from '../../../api/generated/ranges';
import { Plus } from 'lucide-react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Announcement, AnnouncementSubject, Setup, SetupView } from '../../../api/types';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { EnabledBox } from '../../../ui/EnabledBox';
import { NumberField } from '../../../ui/NumberField';
import { SelectField, type Option } from '../../../ui/SelectField';
import { TextField } from '../../../ui/TextField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What a select offers for the board's own report; a condition cannot have this id. */
const AGAIN = RANGES['model.announcements.*.every'];
const REPORT = '';
const MODE = 'mode/';

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
  const firstCondition = listed(conditions)[0]?.[0];
  const sorted = Object.entries(announcements).sort(([, a], [, b]) => a.says.localeCompare(b.says));
  return (
    <section aria-labelledby="announcements">
      <h2 id="announcements" className="text-lg font-bold">
        Announcements
      </h2>
      <p className="max-w-[70ch] text-soft">
        Set off by a switch it may be wrong, because the board may refuse; by a latch it is truer; only the board&apos;s
        own report is true.
        {setup.air.telemetry === false && ' This link brings no telemetry, so reports do not arrive.'}
      </p>
      <ul>
        {sorted.map(([id, made]) => (
          <li
            key={id}
            className="flex flex-wrap items-end gap-x-3 gap-y-2 border-b border-hair py-2 lg:grid lg:grid-cols-[10.5rem_13rem_14rem_auto_auto] lg:justify-start"
          >
            <TextField
              label="Says"
              value={made.says}
              maxLength={40}
              width={15}
              onCommit={(says) => put(`Say “${says}”`, id, { ...made, says })}
            />
            <SelectField
              label="which tells that"
              value={made.about === 'mode' ? MODE + (made.function ?? '') : made.about}
              options={subjects}
              onChange={(v) => put(`“${made.says}” tells something else`, id, about(made, v, firstCondition))}
            />
            <SelectField
              label="set off by"
              value={made.when ?? REPORT}
              options={sources(made)}
              onChange={(v) => put(`“${made.says}” is set off otherwise`, id, setOff(made, v))}
            />
            <div className="flex items-end gap-3">
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
                <NumberField
                  label="every"
                  unit="s"
                  value={made.every / 1000}
                  min={AGAIN.min / 1000}
                  max={AGAIN.max / 1000}
                  step={1}
                  onCommit={(v) => put(`“${made.says}” every ${v} s`, id, { ...made, every: v * 1000 })}
                />
              )}
            </div>
            <div className="flex items-end gap-1">
              <EnabledBox
                enabled={made.enabled !== false}
                onChange={(v) => put(`“${made.says}” ${v ? 'enabled' : 'not enabled'}`, id, { ...made, enabled: v })}
              />
              <RemoveButton place={`/model/announcements/${id}`} name={`“${made.says}”`} changes={changes} />
            </div>
          </li>
        ))}
      </ul>
      <Button
        className="mt-2"
        onClick={() =>
          put('Add an announcement', freeId('announcement', announcements), { says: 'Armed', about: 'armed' })
        }
      >
        <Plus size={15} aria-hidden /> Announcement
      </Button>
    </section>
  );
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
