import type { Context } from '../../src/core/rulebook/dossier';

/** Records whose fields are told one by one. */
const RECORDS = ['site', 'area', 'enclosure', 'entry', 'cable', 'certificate', 'size', 'round', 'mineral', 'transit'] as const; // prettier-ignore
/** What is looked up by a place or a look. */
const BY_KEY = { groups: 'place', looks: 'look' } as const;
/** What only carries the judgement itself. */
const OWN = new Set(['grade', 'at', 'late', 'diameters', 'recorded', 'record', 'newest']);

/**
 * The same context, telling what a check reads of it: `cable.outerMm`, `certificate.sheet.joints`,
 * `place:outer-sheath`, `look:washer`.
 */
export function recording(context: Context, read: (field: string) => void): Context {
  const watched = { ...context } as Record<string, unknown>;
  for (const name of RECORDS) {
    const record = context[name];
    if (record) watched[name] = watch(record, name, read);
  }
  for (const [name, word] of Object.entries(BY_KEY)) {
    watched[name] = watchMap<unknown>(context[name as keyof typeof BY_KEY], word, read);
  }
  return new Proxy(watched as unknown as Context, {
    get(target, key) {
      const name = String(key);
      const whole = (RECORDS as readonly string[]).includes(name);
      // Whether there is such a record at all is a thing that is read.
      if (!OWN.has(name) && !(name in BY_KEY) && !(whole && target[name as keyof Context])) read(name);
      return Reflect.get(target, key) as unknown;
    },
  });
}

function watch(record: object, name: string, read: (field: string) => void): object {
  const inner = new Map<PropertyKey, unknown>();
  return new Proxy(record, {
    get(target, key) {
      const value = Reflect.get(target, key) as unknown;
      const field = `${name}.${String(key)}`;
      if (field === 'certificate.sheet') {
        if (!inner.has(key)) inner.set(key, watch(value as object, field, read));
        return inner.get(key);
      }
      read(field);
      return value;
    },
  });
}

/** A map that tells the keys asked for; what goes through all of it reads every key. */
function watchMap<V>(
  map: ReadonlyMap<string, V>,
  word: string,
  read: (field: string) => void,
): ReadonlyMap<string, V> {
  return new Proxy(map, {
    get(target, key) {
      if (key === 'get' || key === 'has') {
        return (id: string) => {
          read(`${word}:${id}`);
          return target[key](id);
        };
      }
      const value = Reflect.get(target, key, target) as unknown;
      if (key !== 'size') for (const id of target.keys()) read(`${word}:${id}`);
      return typeof value === 'function' ? (value as () => unknown).bind(target) : value;
    },
  });
}
