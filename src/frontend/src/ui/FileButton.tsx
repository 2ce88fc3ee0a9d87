import type { LucideIcon } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  /** What the file is, for screen readers. */
  label: string;
  icon: LucideIcon;
  look?: 'solid';
  /** The kinds of file that are offered; any without one. */
  accept?: string;
  disabled: boolean;
  onFile: (file: File) => void;
  children: ReactNode;
}

/** A button that lets a file be chosen. The same file can be chosen again. */
export function FileButton({ label, icon: Icon, look, accept, disabled, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
      <Button look={look} onClick={() => input.current?.click()} disabled={disabled}>
        <Icon size={16} aria-hidden /> {children}
      </Button>
    </>
  );
}
