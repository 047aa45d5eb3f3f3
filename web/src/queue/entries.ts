import type { Schemas } from '../api/client';

/** What is to be sent to the server, in the order in which it was written down. */
export type Task =
  | { kind: 'open'; traineeId: string; assignmentId: string }
  | { kind: 'reading'; body: Schemas['NewReading'] }
  | { kind: 'fact'; body: Schemas['NewFact'] }
  | { kind: 'setAside'; recordId: string; reason: string }
  | { kind: 'photo'; file: Blob; about: string; note: string; takenAt: string };

/** A task that waits on this device. It is on disk before anybody is told that it is kept. */
export interface Entry {
  /** Its place in the queue, given by the store. */
  seq: number;
  /** The id that the server knows it by: sent again, it adds nothing. */
  key: string;
  /** Who wrote it down: it goes out in nobody else's name. */
  accountId: string;
  accountName: string;
  attemptId: string;
  /** For whoever looks at what waits: whose piece. */
  about: string;
  at: string;
  task: Task;
  /** Why the server turned it down; it stays until somebody decides. */
  refused?: { status: number; message: string };
  /** How often the server could not take it, what it said last, and when (ms since 1970, by this device). */
  failed?: { times: number; message: string; at: number };
}

/** So often it may be chance; after that somebody has to look, and it is tried only now and then. */
const OFTEN = 6;

/** Whether an entry waits for somebody to help: the server could not take it again and again. Nothing is lost meanwhile. */
export function waitsForHelp({ refused, failed }: Entry): boolean {
  return refused === undefined && (failed?.times ?? 0) >= OFTEN;
}

export type NewEntry = Omit<Entry, 'seq'>;

/** An entry in words. */
export function describe({ task }: Entry): string {
  switch (task.kind) {
    case 'open':
      return 'begin the attempt';
    case 'reading':
      return task.body.omitted != null
        ? `${task.body.feature ?? ''} not measured`
        : `${task.body.feature ?? ''} ${task.body.asAsked === true ? 'as asked' : (task.body.text ?? '')}`;
    case 'fact':
      if (task.body.fact?.kind === 'stage') {
        return 'bent again';
      }
      if (task.body.fact?.kind === 'floor') {
        return `the floor ${task.body.fact.text ?? ''}`;
      }
      return task.body.fact?.kind === 'finding' ? `looked over: ${task.body.fact.point ?? ''}` : 'a note';
    case 'setAside':
      return 'taken back';
    case 'photo':
      return 'a photo';
  }
}
