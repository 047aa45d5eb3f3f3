/** Levels as people say them. */
export const LEVEL = { first: 'First bends', steady: 'Steady hands', advanced: 'Advanced' } as const;
