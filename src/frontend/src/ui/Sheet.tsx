import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useFocusBack } from './useFocusBack';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  description: string;
  children: ReactNode;
}

/** A dialog in the middle of the page. */
export function Sheet({ open, onOpenChange, title, description, children }: Props) {
  const back = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-deep/60" />
        <Dialog.Content
          {...back}
          className="fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(44rem,calc(100vw-1.5rem))] -translate-x-1/2 overflow-auto rounded-md border border-line bg-paper p-5 shadow-2xl"
        >
          <div className="flex items-start justify-between gap-4">
            <Dialog.Title className="text-xl font-bold">{title}</Dialog.Title>
            <Dialog.Close className="rounded p-1 hover:bg-hair" aria-label="Close">
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          <Dialog.Description className="mb-3 text-soft">{description}</Dialog.Description>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
