import type { AsyncStorage } from '@react-native-async-storage/async-storage';

/** A store in memory that can be made to refuse writes, as a full browser does. */
export function memoryStorage(items: Record<string, string> = {}): AsyncStorage & {
  data: Map<string, string>;
  full: boolean;
} {
  const data = new Map(Object.entries(items));
  const self = {
    data,
    full: false,
    getItem: async (k: string) => data.get(k) ?? null,
    setItem: async (k: string, v: string) => self.setMany({ [k]: v }),
    removeItem: async (k: string) => void data.delete(k),
    getMany: async (ks: string[]) => Object.fromEntries(ks.map((k) => [k, data.get(k) ?? null])),
    setMany: async (e: Record<string, string>) => {
      if (self.full) throw new Error('');
      for (const [k, v] of Object.entries(e)) data.set(k, v);
    },
    removeMany: async (ks: string[]) => ks.forEach((k) => data.delete(k)),
    getAllKeys: async () => [...data.keys()],
    clear: async () => data.clear(),
  };
  return self;
}
