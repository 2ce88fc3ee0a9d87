import clsx from 'clsx';

interface Props {
  enabled: boolean;
  onChange: (enabled: boolean) => void;
  /** What it says when ticked, and when not. */
  words?: readonly [string, string];
  /** True when a missing tick is nothing to warn of. */
  neutral?: boolean;
}

/** The tick without which something that is defined does nothing. */
export function EnabledBox({ enabled, onChange, words = ['enabled', 'not enabled'], neutral = false }: Props) {
  return (
    <label
      className={clsx(
        'flex h-8 items-center gap-2 rounded-sm px-2 text-sm font-semibold',
        !enabled && !neutral && 'bg-rust-wash text-rust',
      )}
    >
      <input
        type="checkbox"
        className="size-5 accent-sea"
        checked={enabled}
        onChange={(event) => onChange(event.target.checked)}
      />
      {words[enabled ? 0 : 1]}
    </label>
  );
}
