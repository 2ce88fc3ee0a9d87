import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { Removal } from '../api/types';
import { Button } from '../ui/Button';
import { Popup } from '../ui/Popup';
import type { Changes } from './useChanges';

interface Props {
  /** Where the thing stands in the setup, as a JSON Pointer. */
  place: string;
  /** What it is called. */
  name: string;
  changes: Changes;
  /** What the button says; without it, it is a bin. */
  children?: ReactNode;
}

/** Takes something out of the setup: at once where nothing else is touched, otherwise after telling what is. */
export function RemoveButton({ place, name, changes, children }: Props) {
  const [asked, setAsked] = useState<Removal | null>(null);
  const wanted = async () => {
    const removal = await changes.removalOf(place);
    if (!removal) return;
    const { edit, takesAlong, leaves } = removal;
    if (edit && takesAlong.length + leaves.length === 0) await changes.edit(edit);
    else setAsked(removal);
  };
  return (
    <Popup
      label={`Remove ${name}`}
      open={asked !== null}
      onOpenChange={(open) => (open ? void wanted() : setAsked(null))}
      trigger={
        children ? (
          <Button className="self-start">
            <Trash2 size={15} aria-hidden /> {children}
          </Button>
        ) : (
          <Button look="bare" aria-label={`Remove ${name}`}>
            <Trash2 size={15} aria-hidden />
          </Button>
        )
      }
    >
      {asked && (
        <>
          {asked.edit ? (
            <>
              <Told title="Goes with it" texts={asked.takesAlong} />
              <Told title="Will miss it" texts={asked.leaves} strong />
              <Button
                look="solid"
                className="self-start"
                onClick={() => {
                  setAsked(null);
                  if (asked.edit) void changes.edit(asked.edit);
                }}
              >
                Remove {name} all the same
              </Button>
            </>
          ) : (
            <>
              <Told title={`${name} cannot be removed: it is needed by`} texts={asked.neededBy} strong />
              <p className="text-sm text-soft">Change these first.</p>
            </>
          )}
        </>
      )}
    </Popup>
  );
}

function Told({ title, texts, strong = false }: { title: string; texts: readonly string[]; strong?: boolean }) {
  if (texts.length === 0) return null;
  return (
    <div className="text-sm">
      <p className={strong ? 'font-bold text-rust' : 'font-bold'}>{title}</p>
      <ul className="list-disc pl-5">
        {texts.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </div>
  );
}
