import clsx from 'clsx';

interface Props {
  enabled: boolean;
  onChange: (enabled: boolean) => void;
}

/** The tick without which something that is defined does nothing. */
export function EnabledBox({ enabled, onChange }: Props) {
  return (
    <label
      className={clsx(
        'flex h-8 items-center gap-2 rounded-sm px-2 text-sm font-semibold',
        !enabled && 'bg-rust-wash text-rust',
      )}
    >
      <input
        type="checkbox"
        className="size-5 accent-sea"
        checked={enabled}
        onChange={(event) => onChange(event.target.checked)}
      />
      {enabled ? 'enabled' : 'not enabled'}
    </label>
  );
}
