import { expect, test } from 'vitest';
import { conduitText } from './conduit';

test('conduit is told in feet or in metres', () => {
  expect(conduitText(1200, 'in')).toBe('100 ft');
  expect(conduitText(1200, 'mm')).toBe('30.5 m');
});
