import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useNavigate } from 'react-router';
import { auxName } from '../api/aux';
import type { Finding, SetupDocument, SetupView } from '../api/types';
import { useBench } from '../bench/BenchProvider';
import { STATION_NAMES, STATIONS } from '../api/stations';
import type { Changes } from '../edits/useChanges';
import { toggleTheme } from './theme';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  document: SetupDocument;
  view: SetupView;
  findings: readonly Finding[];
  changes: Changes;
  onShow: (overlay: 'keys' | 'stand-back' | 'history') => void;
}

interface Entry {
  words: string;
  run: () => void;
}

/** Finds any control, channel, finding, page or command by a part of its name. */
export function CommandPalette({ open, onOpenChange, document, view, findings, changes, onShow }: Props) {
  const navigate = useNavigate();
  const { pin, link } = useBench();
  const go = (station: string) => void navigate(`/craft/${document.id}/${station}`);
  const channels = Object.values(document.setup.model.channels).sort((a, b) => a.number - b.number);
  const groups: Record<string, Entry[]> = {
    Findings: findings.map((f) => ({ words: f.title, run: () => go(f.station) })),
    Follow: [
      { words: 'Follow whatever moves', run: () => pin(null) },
      ...view.controls.map((c) => ({ words: `Follow ${c.name}`, run: () => pin(c.id) })),
    ],
    Channels: channels.map((c) => ({
      words: `Channel ${c.number}${auxName(c.number) && ` (${auxName(c.number)})`}: ${c.label}`,
      run: () => {
        if (c.take.kind === 'control') pin(c.take.control);
        go('model');
      },
    })),
    Pages: [
      ...STATIONS.map((s) => ({ words: STATION_NAMES[s], run: () => go(s) })),
      { words: 'Proof', run: () => go('proof') },
      { words: 'Hangar', run: () => void navigate('/') },
      { words: 'History', run: () => onShow('history') },
      { words: 'Keys', run: () => onShow('keys') },
      { words: 'Stand-back view', run: () => onShow('stand-back') },
    ],
    Commands: [
      ...(document.undoTitle ? [{ words: `Undo: ${document.undoTitle}`, run: () => void changes.undo() }] : []),
      ...(document.redoTitle ? [{ words: `Redo: ${document.redoTitle}`, run: () => void changes.redo() }] : []),
      { words: 'Lose the link', run: () => link.setLink(false) },
      { words: 'Restore the link', run: () => link.setLink(true) },
      { words: 'Connect the battery', run: () => link.setPower(true) },
      { words: 'Take the battery off', run: () => link.setPower(false) },
      { words: 'Change between light and dark', run: toggleTheme },
    ],
  };

  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-deep/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[10vh] left-1/2 z-50 w-[min(38rem,calc(100vw-1.500rem))] -translate-x-1/2 rounded-md border border-line bg-paper shadow-2xl"
        >
          <Dialog.Title className="sr-only">Find anything</Dialog.Title>
          <Command label="Find anything">
            <Command.Input
              placeholder="A control, a channel, a finding, a page"
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
                        className="cursor-pointer rounded px-2 py-1.5 data-[selected=true]:bg-ink data-[selected=true]:text-paper"
                        onSelect={() => {
                          onOpenChange(false);
                          entry.run();
                        }}
                      >
                        {entry.words}
                      </Command.Item>
                    ))}
                  </Command.Group>
                ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
