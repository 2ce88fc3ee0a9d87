import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { auxName } from '../api/aux';
import { wordsQuery } from '../api/queries';
import type { SetupDocument, SetupView, VerdictView, WorkView } from '../api/types';
import { useBench } from '../bench/BenchProvider';
import type { Changes } from '../edits/useChanges';
import { pageOf } from '../work/places';
import { PLACES } from './places';
import { toggleTheme } from './theme';
import { useFocusBack } from '../ui/useFocusBack';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  document: SetupDocument;
  view: SetupView;
  verdict: VerdictView | undefined;
  work: WorkView['work'] | undefined;
  changes: Changes;
  onShow: (overlay: 'keys' | 'stand-back' | 'history') => void;
}

interface Entry {
  words: string;
  /** What stands beside it, quieter. */
  note?: string;
  /** What it is called elsewhere. */
  also?: string[];
  run: () => void;
}

/** Finds anything by a word, its own or one that the trade uses for it. */
export function CommandPalette({ open, onOpenChange, ...rest }: Props) {
  const back = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-deep/60" />
        <Dialog.Content
          {...back}
          aria-describedby={undefined}
          className="fixed top-[10vh] left-1/2 z-50 w-[min(38rem,calc(100vw-1.500rem))] -translate-x-1/2 rounded-md border border-line bg-paper shadow-2xl"
        >
          <Dialog.Title className="sr-only">Find anything</Dialog.Title>
          {open && <Found {...rest} onDone={() => onOpenChange(false)} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Found({ onDone, ...rest }: Omit<Props, 'open' | 'onOpenChange'> & { onDone: () => void }) {
  const groups = useEntries(rest);
  return (
    <Command label="Find anything">
      <Command.Input
        placeholder="A control, a channel, a function, a step, a setting: by any word"
        className="h-12 w-full rounded-t-md border-b border-line bg-sheet px-4 text-lg"
      />
      <Command.List className="max-h-[60vh] overflow-y-auto p-2">
        <Command.Empty className="p-3 text-soft">Nothing is called that.</Command.Empty>
        {Object.entries(groups)
          .filter(([, entries]) => entries.length > 0)
          .map(([heading, entries]) => (
            <Command.Group
              key={heading}
              heading={heading}
              className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-soft"
            >
              {entries.map((entry) => (
                <Command.Item
                  key={entry.words}
                  value={`${heading} ${entry.words}`}
                  keywords={entry.also}
                  className="cursor-pointer rounded px-2 py-1.5 data-[selected=true]:bg-ink data-[selected=true]:text-paper"
                  onSelect={() => {
                    onDone();
                    entry.run();
                  }}
                >
                  {entry.words}
                  {entry.note && <span className="ml-2 text-[0.87rem] opacity-80">{entry.note}</span>}
                </Command.Item>
              ))}
            </Command.Group>
          ))}
      </Command.List>
    </Command>
  );
}

function useEntries({
  document,
  view,
  verdict,
  work,
  changes,
  onShow,
}: Omit<Props, 'open' | 'onOpenChange'>): Record<string, Entry[]> {
  const navigate = useNavigate();
  const { data: words } = useQuery(wordsQuery);
  const { pin, link } = useBench();
  const { id, setup } = document;
  const go = (place: string) => void navigate(`/craft/${id}/${place}`);
  const channels = Object.values(setup.model.channels).sort((a, b) => a.number - b.number);
  return {
    'What is open': (verdict?.verdict.entries ?? []).map((e) => ({
      words: e.title,
      run: () => go(e.station ?? `proof#${e.promises[0]}`),
    })),
    Steps: (work?.steps ?? []).map((step) => ({
      words: step.name,
      also: [step.why],
      run: () => void navigate(pageOf(id, step)),
    })),
    Pages: [
      ...PLACES.map(({ words, to, also }) => ({ words, also, run: () => go(to) })),
      { words: 'Hangar', also: ['all craft', 'fleet'], run: () => void navigate('/') },
      { words: 'Words', also: ['glossary', 'what does it mean', 'terms'], run: () => void navigate('/words') },
      { words: 'Where figures come from', also: ['sources', 'provenance'], run: () => void navigate('/figures') },
    ],
    Channels: channels.map((c) => ({
      words: `Channel ${c.number}${auxName(c.number) && ` (${auxName(c.number)})`}: ${c.label}`,
      run: () => {
        if (c.take.kind === 'control') pin(c.take.control);
        go('model?part=channels');
      },
    })),
    Functions: Object.values(setup.board.functions).map((f) => ({
      words: `${f.label} (AUX ${f.aux})`,
      also: [f.kind.replaceAll('-', ' ')],
      run: () => go('board?part=settings'),
    })),
    Conditions: Object.values(setup.model.conditions ?? {}).map((c) => ({
      words: c.label,
      run: () => go('model?part=logic'),
    })),
    Follow: [
      { words: 'Follow whatever moves', run: () => pin(null) },
      ...view.controls.map((c) => ({ words: `Follow ${c.name}`, run: () => pin(c.id) })),
    ],
    'What a word means': (words ?? []).map(({ word, meaning, also }) => ({
      words: word,
      note: meaning,
      also,
      run: () => void navigate(`/words#${word}`),
    })),
    Commands: [
      ...(document.undoTitle ? [{ words: `Undo: ${document.undoTitle}`, run: () => void changes.undo() }] : []),
      ...(document.redoTitle ? [{ words: `Redo: ${document.redoTitle}`, run: () => void changes.redo() }] : []),
      {
        words: 'History: revisions, compare, go back',
        also: ['versions', 'restore', 'diff', 'as flown'],
        run: () => onShow('history'),
      },
      { words: 'Keys', also: ['shortcuts', 'keyboard', 'help'], run: () => onShow('keys') },
      { words: 'Stand-back view', also: ['big figures', 'large'], run: () => onShow('stand-back') },
      {
        words: 'Look back at the last minute of the bench',
        also: ['rewind', 'replay', 'what happened'],
        run: () => link.lookBack(Infinity),
      },
      { words: 'Lose the link', also: ['failsafe', 'signal loss'], run: () => link.setLink(false) },
      { words: 'Restore the link', run: () => link.setLink(true) },
      { words: 'Connect the battery', run: () => link.setPower(true) },
      { words: 'Take the battery off', run: () => link.setPower(false) },
      { words: 'Change between light and dark', also: ['theme'], run: toggleTheme },
    ],
  };
}
