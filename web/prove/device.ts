import 'fake-indexeddb/auto';

/**
 * What a tablet's browser gives its page, as far as the outbox and the calls to the server need it: cookies, addresses from the
 * server's root, and a disk (in memory: it is not the device that is killed). To be imported first: what makes calls looks for it
 * when it is loaded.
 */
function becomeDevice(base: string): void {
  const cookies = new Map<string, string>();
  const plain = globalThis.fetch;
  Object.defineProperty(globalThis, 'document', {
    value: {
      get cookie() {
        return [...cookies].map(([name, value]) => `${name}=${value}`).join('; ');
      },
    },
  });
  const kept = new Map<string, string>();
  Object.defineProperty(globalThis, 'sessionStorage', {
    value: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
  });
  // Calls are made with addresses of this page's server.
  class FromBase extends Request {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, base) : input, init);
    }
  }
  globalThis.Request = FromBase;
  globalThis.fetch = async (input, init) => {
    const request = new FromBase(input, init);
    request.headers.set('cookie', document.cookie);
    const answer = await plain(request);
    for (const cookie of answer.headers.getSetCookie()) {
      const [name, value] = (cookie.split(';')[0] ?? '').split('=', 2) as [string, string];
      if (value === '') {
        cookies.delete(name);
      } else {
        cookies.set(name, value);
      }
    }
    return answer;
  };
}

becomeDevice(process.argv[2] ?? '');
