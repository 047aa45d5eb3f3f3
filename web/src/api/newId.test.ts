import { afterEach, describe, expect, it, vi } from 'vitest';
import { newId } from './newId';

const FORM = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('an id of one’s own', () => {
  it('has the usual form, and is another each time', () => {
    const ids = Array.from({ length: 50 }, newId);
    expect(new Set(ids).size).toBe(50);
    ids.forEach((id) => {
      expect(id).toMatch(FORM);
    });
  });

  it('is made at an address that is not secure, too', () => {
    const { getRandomValues } = crypto;
    vi.stubGlobal('crypto', { getRandomValues: getRandomValues.bind(crypto) });
    const ids = Array.from({ length: 50 }, newId);
    expect(new Set(ids).size).toBe(50);
    ids.forEach((id) => {
      expect(id).toMatch(FORM);
    });
  });
});
