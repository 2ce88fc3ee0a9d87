import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** What opens it; takes the trigger's props. */
  trigger: ReactNode;
  label: string;
  children: ReactNode;
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
}

/** A small sheet beside the thing that it edits. */
export function Popup({ trigger, label, children, open, onOpenChange }: Props) {
  return (
    <Popover.Root open={open} onOpenChange={onOpenChange}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={label}
          className="z-30 flex max-h-[70vh] max-w-[min(34rem,calc(100vw-1.5rem))] flex-col gap-3 overflow-y-auto rounded border border-ink bg-paper p-3 shadow-xl"
        >
          {children}
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
