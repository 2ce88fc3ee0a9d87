import { freeId, makeEdit } from '../../../api/edits';
import type { ChainStep, Channel, Setup, SetupEdit } from '../../../api/types';

/** The steps of a chain in the order in which they run. */
export function orderedSteps(channel: Channel): [string, ChainStep][] {
  return Object.entries(channel.steps ?? {}).sort(([idA, a], [idB, b]) => a.order - b.order || (idA < idB ? -1 : 1));
}

/** The order of a step that is put at a place among others: between its neighbours, or beyond the outer one. */
export function orderAt(orders: readonly number[], index: number): number {
  const before = orders[index - 1];
  const after = orders[index];
  if (before === undefined) return after === undefined ? 10 : after - 10;
  return after === undefined ? before + 10 : (before + after) / 2;
}

const at = (channelId: string, stepId: string) => ['model', 'channels', channelId, 'steps', stepId];

/** Puts a new step at a place of a chain. */
export function insertStep(setup: Setup, channelId: string, index: number, step: ChainStep, title: string): SetupEdit {
  const channel = setup.model.channels[channelId]!;
  const orders = orderedSteps(channel).map(([, s]) => s.order);
  const id = freeId(step.kind ?? 'step', channel.steps ?? {});
  return makeEdit(title, setup, [{ path: at(channelId, id), value: { ...step, order: orderAt(orders, index) } }]);
}

/** Moves a step to another place of its chain; null when it stands there already. */
export function moveStep(setup: Setup, channelId: string, stepId: string, index: number): SetupEdit | null {
  const channel = setup.model.channels[channelId]!;
  const steps = orderedSteps(channel);
  const from = steps.findIndex(([id]) => id === stepId);
  if (index === from || index < 0 || index >= steps.length) return null;
  const others = steps.filter(([id]) => id !== stepId).map(([, s]) => s.order);
  const path = [...at(channelId, stepId), 'order'];
  return makeEdit(`${channel.label}: move a step`, setup, [{ path, value: orderAt(others, index) }]);
}

/** Changes members of a step. */
export function changeStep(
  setup: Setup,
  channelId: string,
  stepId: string,
  members: Record<string, unknown>,
  title: string,
): SetupEdit {
  return makeEdit(
    title,
    setup,
    Object.entries(members).map(([name, value]) => ({ path: [...at(channelId, stepId), name], value })),
  );
}

/** Takes a step out of a chain. */
export function removeStep(setup: Setup, channelId: string, stepId: string): SetupEdit {
  const { label } = setup.model.channels[channelId]!;
  return makeEdit(`${label}: remove a step`, setup, [{ path: at(channelId, stepId), value: undefined }]);
}

/** Copies a step to the end of another chain. */
export function copyStep(setup: Setup, channelId: string, stepId: string, target: string): SetupEdit {
  const step = setup.model.channels[channelId]!.steps![stepId]!;
  const goal = setup.model.channels[target]!;
  return insertStep(setup, target, orderedSteps(goal).length, step, `Copy a step to ${goal.label}`);
}
