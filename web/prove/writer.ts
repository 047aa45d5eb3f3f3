import './device';
import { createInterface } from 'node:readline';
import { api, body, Problem, type Schemas } from '../src/api/client';
import { Outbox } from '../src/queue/outbox';
import * as store from '../src/queue/store';

/**
 * One who measures without end, with the outbox's own code: piece after piece of one trainee, every reading under an id of its
 * own. What was kept and what has arrived is told on the output, a line of JSON each. A line on the input ends it, once nothing
 * waits any more.
 */
const [, name = '', password = '', traineeId = '', assignmentId = '', pause = '30'] = process.argv.slice(2);

const tell = (line: unknown) => process.stdout.write(`${JSON.stringify(line)}\n`);
const sleep = (millis: number) => new Promise((done) => setTimeout(done, millis));

/** A server that is away for a moment is asked again. */
async function patiently<T>(ask: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await ask();
    } catch (failure) {
      if (!(failure instanceof Problem) || (failure.status !== 0 && failure.status < 500)) {
        throw failure;
      }
      await sleep(200);
    }
  }
}

await patiently(() => body(api.GET('/api/status')));
const me = await patiently(() => body(api.POST('/api/session', { body: { name, password } })));
const features = new Map<string, string[]>();
const moved = new Map<string, string>();
const outbox = new Outbox({
  onAttempt: (attempt) => {
    features.set(
      attempt.id,
      attempt.features.filter(({ state }) => state === 'open').map(({ id }) => id),
    );
  },
  onMoved: (from, to) => moved.set(from, to),
});
await outbox.signedIn(me.accountId);

let going = true;
createInterface({ input: process.stdin }).once('line', () => {
  going = false;
});

/** A figure of its own for each reading, so that none can be taken for another: sixteenths, or tenths of a degree. */
let count = 0;
function next(feature: string): string {
  const whole = String(5 + (Math.floor(count / 9) % 60));
  const part = (count++ % 9) + 1;
  return /^(angle|roll|dogLeg|farEndKick)/.test(feature) ? `${whole}.${String(part)}` : `${whole} ${String(part)}/16`;
}

const entry = (attemptId: string, task: Parameters<Outbox['keep']>[0]['task'], key: string = crypto.randomUUID()) => ({
  key,
  accountId: me.accountId,
  accountName: me.fullName,
  attemptId,
  about: name,
  at: new Date().toISOString(),
  task,
});

/** Waits until nothing of this device waits. */
async function arrived(): Promise<void> {
  // As long as the outbox itself takes: nobody presses it.
  while ((await store.all()).length > 0) {
    await sleep(50);
  }
}

const unsent = new Map<string, { attempt: string; reading: Schemas['NewReading'] }>();
outbox.subscribe(() => {
  const waiting = new Set(outbox.current().entries.map(({ key }) => key));
  for (const [key, { reading }] of unsent) {
    if (!waiting.has(key)) {
      unsent.delete(key);
      tell({ arrived: key, feature: reading.feature, text: reading.text });
    }
  }
});

while (going) {
  const begun = crypto.randomUUID();
  await outbox.keep(entry(begun, { kind: 'open', traineeId, assignmentId }, begun));
  await arrived();
  const id = moved.get(begun) ?? begun;
  for (const feature of features.get(id) ?? []) {
    const key = crypto.randomUUID();
    const reading: Schemas['NewReading'] = { feature, text: next(feature), takenAt: new Date().toISOString() };
    tell({ kept: key, attempt: id });
    unsent.set(key, { attempt: id, reading });
    await outbox.keep(entry(id, { kind: 'reading', body: reading }, key));
    await sleep(Number(pause));
  }
  // The next piece begins when this one is finished: else it would be the same one.
  await arrived();
}
await arrived();
tell({ refused: (await store.all()).filter(({ refused }) => refused !== undefined).length });
outbox.close();
process.exit(0);
