import { expect, it } from 'vitest';
import type { LayoutAnswer } from '../api/queries';
import type { Kind } from '../bends/kinds';
import { overlap, rectOf } from './labels';
import { layOutElevation } from './elevationLayout';

const DIAMETER = 0.922;
const RADIUS = 5.6;

/** Numbers between 0 and 1, the same in every run. */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

/** A centreline of straights and bends in one plane: turns to the left are positive. */
function piece(straights: readonly number[], turns: readonly number[]): { centreline: number[][]; starts: number[] } {
  let [x, y, heading, run] = [0, 0, 0, 0];
  const centreline = [[0, 0, 0]];
  const starts: number[] = [];
  straights.forEach((straight, i) => {
    x += straight * Math.cos(heading);
    y += straight * Math.sin(heading);
    run += straight;
    centreline.push([x, y, 0]);
    const turn = ((turns[i] ?? 0) * Math.PI) / 180;
    if (turn !== 0) {
      starts.push(run);
      for (let step = 0; step < 12; step++) {
        const by = turn / 12;
        x += Math.abs(by) * RADIUS * Math.cos(heading + by / 2);
        y += Math.abs(by) * RADIUS * Math.sin(heading + by / 2);
        heading += by;
        centreline.push([x, y, 0]);
      }
      run += Math.abs(turn) * RADIUS;
    }
  });
  return { centreline, starts };
}

interface Sample {
  kind: Kind;
  straights: number[];
  turns: number[];
  lengths: string[];
  heights: string[];
}

function sample(kind: Kind, random: () => number): Sample {
  const between = (least: number, most: number) => least + random() * (most - least);
  const leg = () => between(6, 70);
  const angle = [15, 22.5, 30, 45, 60][Math.floor(random() * 5)] ?? 30;
  switch (kind) {
    case 'backToBack90':
      return {
        kind,
        straights: [between(4, 40), between(3, 60), between(4, 40)],
        turns: [90, 90],
        lengths: ['between'],
        heights: ['leg', 'otherLeg'],
      };
    case 'overBent90':
      return {
        kind,
        straights: [between(6, 40), between(1, 12), between(6, 50)],
        turns: [22.5, -112.5],
        lengths: ['setBack', 'otherLeg'],
        heights: ['drop', 'dogLeg'],
      };
    case 'saddle3':
      return {
        kind,
        straights: [leg(), between(1, 9), between(1, 9), leg()],
        turns: [angle / 2, -angle, angle / 2],
        lengths: ['centre', 'overall'],
        heights: ['height', 'dogLeg', 'tailLift'],
      };
    case 'saddle4':
      return {
        kind,
        straights: [leg(), between(1, 9), between(2, 24), between(1, 9), leg()],
        turns: [angle, -angle, -angle, angle],
        lengths: ['flat', 'landing', 'overall'],
        heights: ['height', 'dogLeg', 'tailLift'],
      };
    case 'kick':
      return {
        kind,
        straights: [leg(), between(8, 40)],
        turns: [angle],
        lengths: ['distance', 'overall'],
        heights: ['rise', 'dogLeg'],
      };
    default:
      return {
        kind,
        straights: [leg(), between(1, 20), leg()],
        turns: [angle, -angle],
        lengths: ['distance', 'overall'],
        heights: ['rise', 'dogLeg', 'tailLift'],
      };
  }
}

/** A U stands on its middle, a box offset lies on the wall, and what goes over an edge hangs from it; all else lies. */
function poseAsTheCoreSays(kind: Kind, centreline: readonly number[][]) {
  const most = (axis: number) => Math.max(...centreline.map((point) => point[axis] ?? 0));
  switch (kind) {
    case 'backToBack90':
      return { across: [0, 1, 0], up: [-1, 0, 0], origin: [most(0), 0, 0], onDatumLeg: false };
    case 'overBent90':
      return { across: [0, -1, 0], up: [1, 0, 0], origin: [most(0), 0, 0], onDatumLeg: false, surfaceFromIn: 2 };
    case 'boxOffset':
      return { across: [1, 0, 0], up: [0, -1, 0], origin: [0, most(1), 0], onDatumLeg: false };
    default:
      return { across: [1, 0, 0], up: [0, 1, 0], origin: [0, 0, 0], onDatumLeg: true };
  }
}

/** The answer of the core as far as a drawing needs it, with everything that is measured at its place. */
function planOf({ kind, straights, turns, lengths, heights }: Sample): LayoutAnswer {
  const { centreline, starts } = piece(straights, turns);
  const last = centreline.at(-1) ?? [0, 0, 0];
  const top = centreline.reduce((most, point) => ((point[1] ?? 0) > (most[1] ?? 0) ? point : most));
  const at = (run: number): number[] => {
    const nearest = centreline[Math.min(centreline.length - 1, Math.max(0, Math.round(run)))] ?? [0, 0, 0];
    return [...nearest];
  };
  const corner = (i: number) => at(1 + i * 13 + 6);
  const upright = (i: number) =>
    kind === 'overBent90'
      ? [
          [0, -DIAMETER / 2, 0],
          [last[0] ?? 0, -DIAMETER / 2, 0],
        ]
      : kind === 'backToBack90'
        ? [centreline[i === 0 ? 0 : centreline.length - 1], corner(i)]
        : [[top[0] ?? 0, 0, 0], top];
  return {
    around: [],
    marks: starts.map((positionIn, i) => ({ number: i + 1, positionIn, angleDeg: turns[i] })),
    features: [
      ...starts.flatMap((_, i) => [
        { id: `mark${String(i + 1)}`, from: at(1 + i * 13), to: at(1 + i * 13) },
        { id: `angle${String(i + 1)}`, from: corner(i), to: corner(i) },
      ]),
      ...lengths.map((id, i) => ({
        id,
        from: i === lengths.length - 1 ? [0, 0, 0] : at(1 + (i % 2) * 13),
        to: i === lengths.length - 1 ? last : corner(1),
      })),
      ...heights.map((id, i) =>
        id === 'dogLeg' || id === 'tailLift'
          ? { id, from: last, to: last }
          : { id, from: upright(i)[0], to: upright(i)[1] },
      ),
    ],
    shape: { centreline, arcs: [], lengthIn: 100, pose: poseAsTheCoreSays(kind, centreline) },
    obstacle: kind.startsWith('saddle')
      ? { shape: 'rectangular', fromIn: (top[0] ?? 0) - 2, widthIn: 4, heightIn: (top[1] ?? 1) * 0.8 }
      : null,
    dimensions: [],
  } as unknown as LayoutAnswer;
}

/** Windows by the room that they leave for the drawing, with the sizes of what is written there. */
const WINDOWS = [
  { name: '1280 × 800', width: 860, height: 480, text: { width: 134, height: 66 } },
  { name: '1024 × 768', width: 604, height: 450, text: { width: 134, height: 66 } },
  { name: '390 × 844', width: 390, height: 400, text: { width: 84, height: 44 } },
  { name: '200 % of 1280 × 800', width: 562, height: 352, text: { width: 84, height: 44 } },
];

/** Every build looks at some of them, a full run at all. */
const PIECES = process.env.LOBRIK_FULL === 'true' ? 200 : 6;

const KINDS: readonly Kind[] = [
  'backToBack90',
  'offset',
  'boxOffset',
  'rollingOffset',
  'kick',
  'saddle3',
  'saddle4',
  'overBent90',
];

for (const { name, width, height, text } of WINDOWS) {
  it.each(KINDS)(`texts of random pieces overlap nowhere at ${name}: %s`, (kind) => {
    const random = dice(20 + width);
    for (let i = 0; i < PIECES; i++) {
      const plan = planOf(sample(kind, random));
      const ids = plan.features.map(({ id }) => id);
      const sizes = new Map(
        ids.map((id) => [
          id,
          { width: text.width * (0.6 + random() * 0.4), height: text.height * (0.6 + random() * 0.4) },
        ]),
      );
      const laid = layOutElevation(
        { plan, outsideDiameter: DIAMETER },
        new Set(ids),
        sizes,
        width,
        height,
        i % 2 === 0,
      );
      const rects = [
        ...laid.ground.texts.slice(0, 1),
        ...laid.spots.map(({ id, spot }) => rectOf(laid.sizeOf(id), spot)),
      ];
      const outside = rects.filter(({ left, right }) => left < -0.5 || right > width + 0.5);
      const over = rects.filter((one, a) => rects.slice(a + 1).some((other) => overlap(one, other)));
      expect([outside, over], `piece ${String(i)} of ${ids.join()}`).toEqual([[], []]);
      expect(laid.crowded).toBe(0);
    }
  });
}
