import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { beforeEach, describe, expect, it } from 'vitest';
import { Problem } from '../api/client';
import { soon } from '../testing/soon';
import { rememberQueries } from './known';
import * as store from './store';

const kept = async () => JSON.stringify(await store.known('screens'));

describe('what the screens last knew', () => {
  beforeEach(async () => {
    await store.forgetKnown();
  });

  it('comes back in a new window, also when it could not be asked for anew', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    await rememberQueries(client);
    client.setQueryData(['floor', 'c'], { benches: ['Ada Finch'] });
    const failing = () => Promise.reject(new Problem(0, 'no signal'));
    await client.fetchQuery({ queryKey: ['floor', 'c'], queryFn: failing, staleTime: 0 }).catch(() => undefined);
    await soon(async () => expect(await kept()).toContain('Ada Finch'));

    const later = new QueryClient();
    await rememberQueries(later);
    expect(later.getQueryData(['floor', 'c'])).toEqual({ benches: ['Ada Finch'] });
    expect(later.getQueryState(['floor', 'c'])?.status).toBe('success');
  });

  it('is not taken away by a window that knows less, and holds nothing but what is needed without signal', async () => {
    const one = new QueryClient();
    await rememberQueries(one);
    one.setQueryData(['kit', 'c'], ['Ada’s attempt']);
    one.setQueryData(['progress', 't'], 'a long history');
    await soon(async () => expect(await kept()).toContain('Ada’s attempt'));
    const other = new QueryClient();
    await rememberQueries(other);
    other.clear();
    other.setQueryData(['me'], { fullName: 'Runa Tolvane' });
    await soon(async () => expect(await kept()).toContain('Runa Tolvane'));
    expect(await kept()).toContain('Ada’s attempt');
    expect(await kept()).not.toContain('a long history');
  });

  it('is gone for whoever is signed out', async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    await rememberQueries(client);
    client.setQueryData(['floor', 'c'], { benches: ['Ada Finch'] });
    await soon(async () => expect(await kept()).toContain('Ada Finch'));
    const signedOut = () => Promise.reject(new Problem(401, 'Please sign in'));
    await client.fetchQuery({ queryKey: ['me'], queryFn: signedOut }).catch(() => undefined);
    await soon(async () => expect(await store.known('screens')).toBeUndefined());
  });
});
