import { Download, Expand, History, Keyboard, Moon, Redo2, Search, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { SetupDocument, SetupView } from '../api/types';
import { FollowPicker } from '../path/FollowPicker';
import type { Changes } from '../edits/useChanges';
import { Brand } from './Brand';
import { CraftNames } from './CraftNames';
import { toggleTheme } from './theme';

interface Props {
  document: SetupDocument;
  view: SetupView;
  changes: Changes;
  onOpen: (overlay: 'palette' | 'keys' | 'stand-back' | 'history') => void;
  /** What is to be done next. */
  next: ReactNode;
}

/** The craft, whether it is saved, and what can be done from everywhere. */
export function Header({ document, view, changes, onOpen, next }: Props) {
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-5 py-1 max-sm:px-3">
      <Brand small />
      <CraftNames setup={document.setup} changes={changes} />
      {next}
      <div className="ml-auto flex flex-wrap items-center gap-1">
        <span className="max-md:hidden">
          <FollowPicker controls={view.controls} />
        </span>
        <button
          type="button"
          className="h-8 rounded px-2 text-[0.87rem] hover:bg-hair"
          onClick={() => onOpen('history')}
          aria-label={`${saved(changes)}, revision ${document.revision}. Show the history`}
        >
          <span role="status">{saved(changes)}</span> · revision {document.revision}{' '}
          <History size={14} className="inline" aria-hidden />
        </button>
        <Tool
          label={document.undoTitle ? `Undo: ${document.undoTitle} (Ctrl+Z)` : 'Nothing to undo'}
          disabled={!document.undoTitle}
          onClick={() => void changes.undo()}
        >
          <Undo2 size={18} aria-hidden />
        </Tool>
        <Tool
          label={document.redoTitle ? `Redo: ${document.redoTitle} (Ctrl+Shift+Z)` : 'Nothing to redo'}
          disabled={!document.redoTitle}
          onClick={() => void changes.redo()}
        >
          <Redo2 size={18} aria-hidden />
        </Tool>
        <a
          className="target grid size-8 place-items-center rounded hover:bg-hair"
          href={`/api/setups/${document.id}/export`}
          download
          aria-label="Download this setup as JSON"
          title="Download this setup as JSON"
        >
          <Download size={18} aria-hidden />
        </a>
        <Tool label="Stand-back view: big figures (V in the bench)" onClick={() => onOpen('stand-back')}>
          <Expand size={18} aria-hidden />
        </Tool>
        <Tool label="Find anything (Ctrl+K)" onClick={() => onOpen('palette')}>
          <Search size={18} aria-hidden />
        </Tool>
        <span className="max-sm:hidden">
          <Tool label="Keys (Ctrl+/)" onClick={() => onOpen('keys')}>
            <Keyboard size={18} aria-hidden />
          </Tool>
        </span>
        <Tool label="Change between light and dark" onClick={toggleTheme}>
          <Moon size={18} aria-hidden />
        </Tool>
      </div>
    </header>
  );
}

function saved({ state }: Changes): string {
  if (state.kind === 'failed') return 'Not saved';
  return state.kind === 'saving' ? 'Saving…' : 'Saved';
}

/** A small button with a picture, whose words show as a tooltip. */
export function Tool({
  label,
  disabled = false,
  onClick,
  children,
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="grid size-8 place-items-center rounded hover:bg-hair disabled:opacity-40"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
