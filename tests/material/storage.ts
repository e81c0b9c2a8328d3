/** Local storage as a browser has it, with a limit on what one key holds; for the tests of the store. */
export function testStorage(limit = 1e6): Storage {
  const kept = new Map<string, string>();
  const methods = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (value.length > limit) throw new DOMException("full", "QuotaExceededError");
      kept.set(key, value);
    },
    removeItem: (key: string) => kept.delete(key),
  };
  return new Proxy(methods as unknown as Storage, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: (_, key) =>
      kept.has(String(key))
        ? { enumerable: true, configurable: true, value: kept.get(String(key)) }
        : undefined,
  });
}
