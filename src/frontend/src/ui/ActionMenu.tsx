import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button';

interface Action {
  id: string;
  name: string;
  /** What it does, beside the name. */
  hint?: string;
}

interface Props {
  /** What opens it: its words, or an element that takes the trigger's props. */
  trigger: ReactNode;
  actions: readonly Action[];
  onChoose: (id: string) => void;
}

/** A choice that does something at once. A list of values would do it already while the keyboard passes over them. */
export function ActionMenu({ trigger, actions, onChoose }: Props) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        {typeof trigger === 'string' ? (
          <Button>
            {trigger} <ChevronDown size={15} aria-hidden />
          </Button>
        ) : (
          trigger
        )}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-40 max-h-[min(70vh,var(--radix-dropdown-menu-content-available-height))] overflow-y-auto rounded border border-ink bg-paper p-1 shadow-xl"
        >
          {actions.map(({ id, name, hint }) => (
            <DropdownMenu.Item
              key={id}
              className="flex gap-4 rounded-sm px-2 py-1.5 text-sm outline-none data-highlighted:bg-sea-wash"
              onSelect={() => onChoose(id)}
            >
              <b className={hint ? 'w-44' : ''}>{name}</b>
              {hint && <span className="text-soft">{hint}</span>}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
