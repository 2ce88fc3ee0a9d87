import { useEffect, useRef, useState } from 'react';
import type { ControlView } from '../../api/types';
import { tone } from '../../ui/tone';
import { useBench, type Movement } from '../BenchProvider';
import { readPad, settingOf, travelOf, type PadReading } from './assignment';
import { begin, look, type Teaching } from './teaching';
import { keepAssignments, loadAssignments, type Assignments } from './stored';

/** Less than this, in percent, is the trembling of a hand or a stick. */
const LEAST = 0.3;

const LOOK_AGAIN_MS = 1000;

export interface RealSticks {
  /** The name of the gamepad that is there; null without one. */
  pad: string | null;
  /** How many controls it drives. */
  driven: number;
  assignments: Assignments;
  /** The control that is being taught, and how far that is. */
  teaching: { control: string; step: Teaching['step'] } | null;
  teach: (control: string) => void;
  stop: () => void;
  forget: (control: string) => void;
}

/** A transmitter plugged in as a USB joystick moves the controls of the bench. The browser only sends movements; the server judges. */
export function useRealSticks(transmitter: string, controls: readonly ControlView[]): RealSticks {
  const { moveTogether } = useBench();
  const [pad, setPad] = useState<string | null>(null);
  const [assignments, setAssignments] = useState(() => loadAssignments(transmitter));
  const [taught, setTaught] = useState<RealSticks['teaching']>(null);
  const lesson = useRef<{ control: string; teaching: Teaching | null } | null>(null);
  const sent = useRef(new Map<string, number>());
  const latest = useRef({ moveTogether, controls, assignments });

  useEffect(() => {
    latest.current = { moveTogether, controls, assignments };
  });

  useEffect(() => {
    let frame = 0;
    let timer = 0;
    const drive = (reading: PadReading) => {
      const moved: Movement[] = [];
      for (const control of latest.current.controls) {
        const assignment = latest.current.assignments[control.id];
        const travel = assignment && travelOf(assignment, reading);
        if (travel === undefined || travel === null) continue;
        const setting = settingOf(control, travel);
        const before = sent.current.get(control.id);
        if (before !== undefined && Math.abs(before - setting) < LEAST) continue;
        sent.current.set(control.id, setting);
        moved.push({ id: control.id, to: setting, by: Math.abs(setting - (before ?? setting)) });
      }
      if (moved.length > 0) latest.current.moveTogether(moved);
    };
    const learn = (reading: PadReading) => {
      const now = lesson.current;
      if (!now) return;
      const before = now.teaching ?? begin(reading, performance.now());
      const after = look(before, reading, performance.now());
      now.teaching = after;
      if (after.step !== before.step) {
        setTaught({ control: now.control, step: after.step });
        tone();
      }
      if (!after.assignment) return;
      const next = { ...latest.current.assignments, [now.control]: after.assignment };
      keepAssignments(transmitter, next);
      setAssignments(next);
      setTaught(null);
      lesson.current = null;
    };
    const watch = () => {
      const reading = readPad(navigator.getGamepads());
      setPad(reading?.id ?? null);
      // Without a joystick nothing needs a look at every frame.
      if (reading) frame = requestAnimationFrame(watch);
      else timer = window.setTimeout(watch, LOOK_AGAIN_MS);
      if (reading && lesson.current) learn(reading);
      else if (reading) drive(reading);
    };
    watch();
    return () => {
      cancelAnimationFrame(frame);
      window.clearTimeout(timer);
    };
  }, [transmitter]);

  return {
    pad,
    driven: controls.filter((c) => c.id in assignments).length,
    assignments,
    teaching: taught,
    teach: (control) => {
      // Rest is where everything stands now: a hand may already move before the next look.
      const reading = readPad(navigator.getGamepads());
      lesson.current = { control, teaching: reading && begin(reading, performance.now()) };
      setTaught({ control, step: 'far' });
    },
    stop: () => {
      lesson.current = null;
      setTaught(null);
    },
    forget: (control) => {
      const next = Object.fromEntries(Object.entries(assignments).filter(([id]) => id !== control));
      keepAssignments(transmitter, next);
      setAssignments(next);
    },
  };
}
