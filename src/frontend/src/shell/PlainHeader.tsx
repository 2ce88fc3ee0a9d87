import { Moon } from 'lucide-react';
import { Brand } from './Brand';
import { Tool } from './Header';
import { ServerAway } from './ServerAway';
import { toggleTheme } from './theme';

/** The head of a page that belongs to no craft. */
export function PlainHeader() {
  return (
    <header>
      <ServerAway />
      <div className="flex items-center justify-between py-3">
        <Brand />
        <Tool label="Change between light and dark" onClick={toggleTheme}>
          <Moon size={18} aria-hidden />
        </Tool>
      </div>
    </header>
  );
}
