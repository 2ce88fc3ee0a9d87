import { ShieldAlert, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { focusOnce } from '../../ui/focusOnce';
import { SelectField } from '../../ui/SelectField';
import { Term } from '../../ui/Term';

interface Props {
  id: string;
  setup: Setup;
  items: SetupView['powerOn'];
  changes: Changes;
}

/** What the radio must warn about when it is switched on, what the pilot adds to that, and what it may leave out. */
export function PowerOnCheck({ id, setup, items, changes }: Props) {
  const [adding, setAdding] = useState(false);
  const warned = items.filter((i) => i.warns);
  const left = items.filter((i) => !i.warns);
  const warn = (control: string, name: string, reason: string) =>
    void changes.edit(
      makeEdit(reason ? `Power-on check holds ${name} too` : `Power-on check leaves ${name} out`, setup, [
        { path: ['transmitter', 'controls', control, 'warnedBecause'], value: reason || undefined },
      ]),
    );
  return (
    <section aria-labelledby="power-on" className="mb-4 rounded border border-line bg-sheet p-3">
      <h2 id="power-on" className="flex items-center gap-2 font-bold">
        <ShieldAlert size={18} aria-hidden />
        <span>
          <Term word="power-on check">Power-on check</Term>: store these positions in the transmitter
        </span>
      </h2>
      <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {warned.map((item) => (
          <li key={item.control}>
            <b>{item.name}</b> {item.wanted}{' '}
            <span className="text-[0.87rem] text-soft">
              {item.isOwn ? `As you want it: ${item.reason}` : item.reason}
              {!item.startFits && <b className="text-rust"> It does not start there.</b>}
            </span>
            {item.isOwn && (
              <button
                type="button"
                aria-label={`Leave ${item.name} out again`}
                title={`Leave ${item.name} out again`}
                className="ml-1 inline-grid size-6 place-items-center rounded align-middle hover:bg-hair"
                onClick={() => warn(item.control, item.name, '')}
              >
                <X size={14} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Link className="target inline-flex items-center font-semibold underline" to={`/craft/${id}/work#power-on`}>
          Tick what is stored
        </Link>
        {!adding && left.length > 0 && <Button onClick={() => setAdding(true)}>Hold another one too</Button>}
      </div>
      {adding && (
        <Another
          items={left}
          onHold={(control, reason) => {
            setAdding(false);
            if (reason) warn(control, items.find((i) => i.control === control)?.name ?? control, reason);
          }}
        />
      )}
      <details className="mt-1 text-[0.93rem]">
        <summary className="cursor-pointer text-soft">{left.length} controls are left out</summary>
        <ul className="mt-1 columns-2 gap-6 max-md:columns-1">
          {left.map((item) => (
            <li key={item.control} className="break-inside-avoid">
              <b>{item.name}</b> <span className="text-soft">{item.reason}</span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

/** Which other control is held, and why: whoever reads the check later wants to know. */
function Another({
  items,
  onHold,
}: {
  items: Props['items'];
  /** Called with no reason when there is none to be held. */
  onHold: (control: string, reason: string) => void;
}) {
  const [control, setControl] = useState(items[0]?.control ?? '');
  const [reason, setReason] = useState('');
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onHold(control, reason.trim());
      }}
    >
      <SelectField
        label="Hold at its start position"
        value={control}
        options={items.map((i) => ({ value: i.control, label: i.name }))}
        onChange={setControl}
      />
      <label className="flex min-w-60 flex-1 flex-col gap-0.5 text-sm text-soft">
        because
        <input
          ref={focusOnce}
          className="h-8 rounded border border-edge bg-sheet px-2 text-ink"
          maxLength={120}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <Button type="submit" look="solid" disabled={!reason.trim()}>
        Hold it
      </Button>
      <Button onClick={() => onHold(control, '')}>Not now</Button>
    </form>
  );
}
