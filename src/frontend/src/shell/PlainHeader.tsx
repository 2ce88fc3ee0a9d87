import { Moon } from 'lucide-react';
import { Brand } from './Brand';
import { Tool } from './Header';
import { toggleTheme } from './theme';

/** The head of a page that belongs to no craft. */
export function PlainHeader() {
  return (
    <header className="flex items-center justify-between py-3">
      <Brand />
      <Tool label="Change between light and dark" onClick={toggleTheme}>
        <Moon size={18} aria-hidden />
      </Tool>
    </header>
  );
}
