import type { BoardFunction, ControlView } from '../../api/types';

interface Props {
  made: BoardFunction;
  positions: ControlView['positions'];
  /** Takes the title of the edit and the positions. */
  onChange: (title: string, planned: number[]) => void;
}

/** The positions of its control in which a function is planned to be on. None ticked: nothing is planned, and nothing is proven of it. */
export function PlannedPositions({ made, positions, onChange }: Props) {
  const planned = made.planned ?? [];
  if (positions.length === 0) return <span className="text-[0.8rem] text-soft">–</span>;
  return (
    <fieldset className="flex gap-x-3">
      <legend className="sr-only">{made.label} is planned in</legend>
      {positions.map(({ setting, name }) => (
        <label key={setting} className="flex h-8 items-center gap-1 text-[0.87rem]">
          <input
            type="checkbox"
            className="size-4 accent-sea"
            checked={planned.includes(setting)}
            onChange={(event) =>
              onChange(
                event.target.checked ? `${made.label} planned at ${name}` : `${made.label} not planned at ${name}`,
                event.target.checked
                  ? [...planned, setting].sort((a, b) => a - b)
                  : planned.filter((p) => p !== setting),
              )
            }
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}
