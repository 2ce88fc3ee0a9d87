import { ChevronDown, ChevronUp, Gamepad2, History, Volume2, VolumeX } from 'lucide-react';
import clsx from 'clsx';
import { useHotkeys } from 'react-hotkeys-hook';
import { useFolded } from '../ui/useFolded';
import { useRef, useState, type CSSProperties, type KeyboardEvent } from 'react';
import { useAwaySince } from '../api/server';
import type { ControlUse, ControlView } from '../api/types';
import { Key } from '../ui/Key';
import { BenchStrip, type BenchParts } from './BenchStrip';
import { BoardSays } from './BoardSays';
import { useBench, useBenchState } from './BenchProvider';
import { nextConnection, nextTilt } from './craftSteps';
import { CraftToggles } from './CraftToggles';
import { DialTile } from './DialTile';
import { readKey, stickOf } from './dockKeys';
import { RealSticksSheet } from './gamepad/RealSticksSheet';
import { findUse } from './uses';
import { useRealSticks } from './gamepad/useRealSticks';
import { HoldButton } from './HoldButton';
import { LastMinute } from './LastMinute';
import { HAS_VOICE, useVoice } from './useVoice';
import { Stick } from './Stick';
import { SwitchTile } from './SwitchTile';

interface Props {
  /** The transmitter's name; what is taught of real sticks is kept under it. */
  transmitter: string;
  controls: readonly ControlView[];
  /** What every control does in every position. */
  uses: readonly ControlUse[];
  /** True with a position receiver: without one there is never a fix. */
  located: boolean;
  onStandBack: () => void;
}

/** The bench at the foot of every page: the transmitter's controls, link and battery, and what the board says. */
export function Dock({ transmitter, controls, uses, located, onStandBack }: Props) {
  const { link, move } = useBench();
  const connection = useBenchState((s) => s.connection);
  // Little height leaves it a strip, until somebody unfolds it.
  const [folded, setFolded] = useFolded('bench', window.matchMedia('(width < 48rem), (height <= 62.5rem)').matches);
  useHotkeys('alt+b', () => setFolded(!folded), { preventDefault: true, enableOnFormTags: true }, [folded]);
  const back = useBenchState((s) => s.back);
  const opener = useRef<HTMLButtonElement>(null);
  const lookBack = () => link.lookBack(Infinity);
  const now = () => {
    link.lookBack(null);
    opener.current?.focus();
  };
  useHotkeys('alt+l', () => (back ? now() : lookBack()), { preventDefault: true, enableOnFormTags: true }, [back]);
  const live = connection === 'live' && !back;
  const away = useAwaySince() !== null;
  const sticks = useRealSticks(transmitter, controls);
  const [teaching, setTeaching] = useState(false);
  const [voice, speak] = useVoice();

  const onKeyDown = (event: KeyboardEvent) => {
    // A slider under the focus takes its own keys.
    const onSlider = (event.target as HTMLElement).matches('input, [role=slider]');
    if (
      event.defaultPrevented ||
      event.ctrlKey ||
      event.altKey ||
      event.metaKey ||
      (onSlider && event.key.startsWith('Arrow'))
    )
      return;
    const { message, back } = link.snapshot();
    const settings = link.settings();
    const action = readKey(event.key, event.shiftKey, controls, settings);
    if (!action || !message || back) return;
    event.preventDefault();
    switch (action.kind) {
      case 'stick': {
        const at = settings[action.control.id] ?? 0;
        return move(action.control.id, Math.max(-100, Math.min(100, at + action.by)));
      }
      case 'switch':
        return move(action.control.id, action.to);
      case 'link':
        return link.setLink(!link.around().link);
      case 'power':
        return link.setPower(!link.around().power);
      case 'usb':
        return link.surround(nextConnection(link.around()));
      case 'tilt':
        return link.surround({ tilt: nextTilt(link.around().tilt) });
      case 'fix':
        return located ? link.surround({ fix: !link.around().fix }) : undefined;
      case 'rest':
        return controls.filter((c) => c.kind === 'stick').forEach((c) => move(c.id, c.start));
      case 'stand-back':
        return onStandBack();
    }
  };

  const onKeyUp = (event: KeyboardEvent) => {
    const onSlider = (event.target as HTMLElement).matches('input, [role=slider]');
    const stick = onSlider && event.key.startsWith('Arrow') ? null : stickOf(event.key, controls);
    if (stick && stick.springs) move(stick.id, 0);
  };

  return (
    // The dock takes single keys, and only while it has the focus (WCAG 2.1.4).
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <section
      id="dock"
      aria-label="Bench"
      // Nothing in it can be selected: dragging a selection would take the pointer away from a stick.
      className="on-deep relative z-10 bg-deep select-none text-deep-ink dark:border-t dark:border-line"
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      onKeyDown={onKeyDown}
      onKeyUp={onKeyUp}
    >
      {back && <LastMinute back={back} onClose={now} />}
      {connection !== 'live' && !away && (
        <p role="status" className="bg-ochre-wash px-4 py-1 text-sm font-semibold text-ochre">
          {connection === 'connecting'
            ? 'Connecting to the bench…'
            : 'The bench does not answer. Reconnecting; movements are not sent.'}
        </p>
      )}
      {folded ? (
        <BenchStrip controls={controls} uses={uses} live={live} connected={connection === 'live'} />
      ) : (
        <OpenDock
          controls={controls}
          uses={uses}
          located={located}
          live={live}
          connected={connection === 'live'}
          voice={voice}
          onSpeak={speak}
        />
      )}
      <div className={clsx('absolute right-2 bottom-1.5 flex gap-1', folded && 'flex-col-reverse max-md:flex-row')}>
        {!folded && (
          <button
            type="button"
            className={clsx(
              CORNER,
              'max-md:hidden',
              sticks.pad && sticks.driven > 0 && 'border-deep-live text-deep-live',
            )}
            onClick={() => setTeaching(true)}
          >
            <Gamepad2 size={14} aria-hidden />
            {sticks.pad && sticks.driven > 0 ? `Real sticks drive ${sticks.driven}` : 'Real sticks'}
          </button>
        )}
        <button
          ref={opener}
          type="button"
          aria-pressed={back !== null}
          title="The last minute, back and forth (Alt+L)"
          className={CORNER}
          onClick={() => (back ? now() : lookBack())}
        >
          <History size={14} aria-hidden />
          <span className="max-sm:sr-only">Look back</span>
        </button>
        <button
          type="button"
          aria-expanded={!folded}
          title={folded ? 'The whole bench (Alt+B)' : 'The bench as a strip (Alt+B)'}
          className={CORNER}
          onClick={() => setFolded(!folded)}
        >
          {folded ? <ChevronUp size={14} aria-hidden /> : <ChevronDown size={14} aria-hidden />}
          {folded ? 'Unfold' : 'Fold'}
        </button>
      </div>
      <RealSticksSheet open={teaching} onOpenChange={setTeaching} controls={controls} sticks={sticks} />
    </section>
  );
}

/** The look of the buttons in its corner. */
const CORNER =
  'flex min-h-7 items-center gap-1 rounded border border-deep-line bg-deep px-1.5 text-xs max-md:min-h-11 aria-pressed:border-deep-ink';

interface VoiceProps {
  /** True while the browser speaks what is announced. */
  voice: boolean;
  onSpeak: (on: boolean) => void;
}

function VoiceToggle({ voice, onSpeak }: VoiceProps) {
  const Icon = voice ? Volume2 : VolumeX;
  return (
    <button
      type="button"
      aria-pressed={voice}
      title="Speak what the transmitter announces, with the browser's voice"
      className={clsx(CORNER, '-my-1')}
      onClick={() => onSpeak(!voice)}
    >
      <Icon size={14} aria-hidden /> Voice
    </button>
  );
}

/** More switches than these go into a second row. */
const SWITCHES_IN_A_ROW = 10;

const TRAVELLING: ControlView['kind'][] = ['dial', 'slider', 'input'];

function OpenDock({
  controls,
  uses,
  located,
  live,
  connected,
  voice,
  onSpeak,
}: BenchParts & VoiceProps & Pick<Props, 'located'>) {
  const axis = (right: boolean, vertical: boolean) =>
    controls.find((c) => c.place?.rightHand === right && c.place.vertical === vertical);
  const sticks = (['left', 'right'] as const).map((hand) => ({
    hand,
    vertical: axis(hand === 'right', true),
    horizontal: axis(hand === 'right', false),
  }));
  const switches = controls.filter((c) => c.kind === 'switch');
  return (
    <fieldset
      disabled={!live}
      className={clsx(
        'relative grid max-h-[70vh] grid-cols-[auto_minmax(26rem,1fr)_auto_auto_16rem] divide-deep-line overflow-y-auto max-xl:grid-cols-[auto_1fr_16rem] max-md:grid-cols-1 md:divide-x',
        !connected && 'opacity-55',
      )}
    >
      <legend className="sr-only">Controls of the bench</legend>
      <DockPart title="Sticks" keys={['W A S D', 'arrows']}>
        <div className="flex justify-center gap-4">
          {sticks.map(
            ({ hand, vertical, horizontal }) =>
              vertical && horizontal && <Stick key={hand} hand={hand} vertical={vertical} horizontal={horizontal} />,
          )}
        </div>
      </DockPart>
      <DockPart title="Switches" hint="the bar marks the safe end">
        <div
          className="grid gap-1 max-md:gap-y-3 md:grid-cols-[repeat(var(--switches),minmax(0,1fr))] max-md:grid-cols-4"
          style={{ '--switches': Math.min(switches.length, SWITCHES_IN_A_ROW) } as CSSProperties}
        >
          {switches.map((control, i) => (
            <SwitchTile key={control.id} control={control} use={findUse(uses, control.id)} hotkey={String(i + 1)} />
          ))}
        </div>
      </DockPart>
      <DockPart title="Dials and buttons">
        <div className="flex gap-1.5">
          {controls
            .filter((c) => TRAVELLING.includes(c.kind))
            .map((control) => (
              <DialTile key={control.id} control={control} />
            ))}
          <div className="ml-1 flex w-15 flex-col gap-2">
            {controls
              .filter((c) => c.kind === 'button')
              .map((control) => (
                <HoldButton key={control.id} control={control} />
              ))}
          </div>
        </div>
      </DockPart>
      <DockPart title="Around the craft">
        <CraftToggles located={located} />
      </DockPart>
      <DockPart title="The board says" end={HAS_VOICE && <VoiceToggle voice={voice} onSpeak={onSpeak} />}>
        <BoardSays />
      </DockPart>
    </fieldset>
  );
}

function DockPart({
  title,
  keys = [],
  hint,
  end,
  children,
}: {
  title: string;
  keys?: string[];
  hint?: string;
  /** What stands at the end of its title. */
  end?: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <div className="flex min-w-0 flex-col px-3 pt-2 pb-3">
      <div className="mb-1.5 flex justify-between">
        <h2 className="flex gap-2 text-[0.8rem] font-semibold text-deep-soft">
          {title}
          {keys.map((key) => (
            <Key key={key}>{key}</Key>
          ))}
          {hint && <span className="font-normal">{hint}</span>}
        </h2>
        {end}
      </div>
      {children}
    </div>
  );
}
