import type { Schemas } from '../api/client';

type OnRing = Schemas['MarkAnswer']['reference'];
type Tool = Schemas['LayoutAnswer']['tool'];

const WORDS: Record<Tool, Record<OnRing, string>> = {
  shoe: { arrow: 'arrow', star: 'star', notch: 'notch', middle: 'middle' },
  machine: { arrow: 'front of shoe', star: 'back mark', notch: 'middle mark', middle: 'middle' },
  former: { arrow: 'arrow', star: 'star', notch: 'notch', middle: 'middle of the curve' },
};

/** What of a tool stands on a ring, as people at that tool call it; pieces that a device remembers from an earlier build are a shoe's. */
export function onRing(reference: OnRing, tool: Tool | undefined): string {
  return WORDS[tool ?? 'shoe'][reference];
}

/** Which way a shoe stands, in words and as a sign; nothing where there is no shoe. */
export function hookWords(hookTowards: Schemas['MarkAnswer']['hookTowards'], tool: Tool | undefined) {
  if (hookTowards == null) {
    return undefined;
  }
  const toDatum = hookTowards === 'datum';
  return {
    sign: toDatum ? '◂' : '▸',
    side: tool === 'machine' ? 'front' : 'hook',
    end: toDatum ? 'datum end' : 'far end',
    towards: toDatum ? (-1 as const) : (1 as const),
  };
}
