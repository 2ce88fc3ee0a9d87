import { CircleCheck, CircleDashed, CircleSlash, History, OctagonAlert, type LucideIcon } from 'lucide-react';
import type { WorkState } from '../api/types';

/** How a state of a step looks, and what it is called. */
export const WORK_STATES: Record<WorkState, { icon: LucideIcon; name: string; tone: string }> = {
  done: { icon: CircleCheck, name: 'done', tone: 'text-moss' },
  stale: { icon: History, name: 'stale', tone: 'text-ochre' },
  failed: { icon: OctagonAlert, name: 'not as it should be', tone: 'text-rust' },
  'to-do': { icon: CircleDashed, name: 'to do', tone: 'text-ink' },
  'not-needed': { icon: CircleSlash, name: 'not needed', tone: 'text-soft' },
};
