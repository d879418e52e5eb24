import { sealEnd } from './mineral';
import { entryId, type EntrySpec, type Script, type SiteSpec } from './spec';
import { inspect } from './visit';

/** Entries of the close round a year ago: of a plant with a history all of them, else a few. */
const earlierOf = (spec: SiteSpec): readonly EntrySpec[] => {
  if (spec.years > 1) return spec.entries.filter(({ work }) => !work);
  const plain = ({ planted, read, madeOff, mineral, transit }: EntrySpec) =>
    !planted && !madeOff && !mineral && !transit && read === 'all';
  return spec.entries.filter(plain).slice(0, 4);
};

/**
 * Entries of the initial round: of those that stood before anything was made off here the transits, what is not opened now, and
 * every third of the others.
 */
const initialOf = (spec: SiteSpec): readonly EntrySpec[] =>
  spec.years > 1
    ? spec.entries
        .filter(({ work, madeOff, mineral }) => !work && !madeOff && !mineral)
        .filter(({ twist }) => !twist?.entry?.foundMadeOff)
        .filter(({ read, transit }, i) => transit || read !== 'all' || i % 3 === 0)
    : [];

/** An entry as it was before its fault came: what is wrong with cable and gland was wrong from the start. */
const before = ({ twist, transit, ...entry }: EntrySpec): EntrySpec => ({
  ...entry,
  transit: transit && { ...transit, found: undefined },
  twist: { cable: twist?.cable, entry: twist?.entry },
});

/** The initial inspection three years ago: every entry opened, measured and sealed. */
export function addInitialRound(script: Script, spec: SiteSpec): void {
  const chosen = initialOf(spec);
  if (chosen.length === 0) return;
  const by = 'M. Okonjo';
  const round = `${spec.prefix}-round-10`;
  const entries = chosen.map((entry) => entryId(spec, entry));
  const started = script.at(-1061);
  script.add('round.add', { id: round, name: 'Round 10, initial', grade: 'detailed', entries, started, closed: null }, started, by); // prettier-ignore
  for (const entry of chosen) {
    inspect(script, spec, before(entry), { round, days: -1060, by, reach: 'all', sealedBefore: false });
    const at = script.at(-1059);
    script.add('inspection.seal', { id: script.id(at), entry: entryId(spec, entry), round }, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-1058) } }, script.at(-1058), by);
}

/** Entries made off in a round of their own, each left with a sealed record of what it hides now. */
export function addMakeOffs(script: Script, spec: SiteSpec): void {
  const chosen = spec.entries.filter(({ madeOff }) => madeOff);
  if (chosen.length === 0) return;
  const by = 'M. Okonjo';
  const round = `${spec.prefix}-round-12`;
  const started = script.at(-380);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Make-off, new heads', grade: 'detailed', entries, started, closed: null },
    started,
    by,
  );
  for (const entry of chosen) {
    inspect(script, spec, entry, { round, days: -379, by, reach: 'all', sealedBefore: false });
    const at = script.at(-378);
    const payload = {
      id: script.id(at), entry: entryId(spec, entry), round, why: 'make-off' as const,
      outerSeal: 'replaced' as const, innerSeal: 'replaced' as const, note: '',
    }; // prettier-ignore
    script.add('asleft.seal', payload, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-377) } }, script.at(-377), by);
}

/** Ends of mineral-insulated cables, sealed when they were laid; each with a record of what it hides. */
export function addMineralEnds(script: Script, spec: SiteSpec): void {
  const chosen = spec.entries.filter(({ mineral, work }) => mineral && !work);
  if (chosen.length === 0) return;
  const by = 'A. Vell';
  const round = `${spec.prefix}-round-11`;
  const started = script.at(-1095);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add('round.add', { id: round, name: 'Make-off, mineral cables', grade: 'detailed', entries, started, closed: null }, started, by); // prettier-ignore
  for (const entry of chosen) {
    const of = entryId(spec, entry);
    const start = script.at(-1094);
    const work = `${of}-sealing`;
    script.add(
      'makeoff.start',
      { id: work, entry: of, round, why: 'make-off', habit: 'body-first' },
      start,
      by,
    );
    sealEnd(script, spec, entry, work, start);
    inspect(script, spec, entry, { round, days: -1093, by, reach: 'all', sealedBefore: false });
    const at = script.at(-1092);
    const payload = {
      id: script.id(at), entry: of, round, why: 'make-off' as const, outerSeal: 'none' as const,
      innerSeal: 'none' as const, note: '',
    }; // prettier-ignore
    script.add('asleft.seal', payload, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-1091) } }, script.at(-1091), by);
}

/** Kinds whose old defects are told: they have a bond and cores. */
const FIT_FOR_DEFECTS: ReadonlySet<string> = new Set(['gland-double-seal', 'gland-reversible-ring']);

/** A close round a year ago: a few entries sealed, with defects that went different ways since. */
export function addEarlierRound(script: Script, spec: SiteSpec): void {
  const chosen = earlierOf(spec);
  const [damaged, loose, overdue] = chosen.filter(
    (entry) => FIT_FOR_DEFECTS.has(entry.kind) && !entry.planted,
  );
  if (!damaged || !loose || !overdue) return;
  const by = 'M. Okonjo';
  const round = `${spec.prefix}-round-13`;
  const started = script.at(-330);
  const entries = chosen.map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Round 13', grade: 'close', entries, started, closed: null },
    started,
    by,
  );
  const initial = new Set(initialOf(spec));
  const wrong = new Map([
    [damaged, { damage: 'painted' }],
    [loose, { 'bond-tight': 'loose' }],
    [overdue, { 'unused-cores': 'no' }],
  ] as [EntrySpec, Record<string, string>][]);
  for (const entry of chosen) {
    const was = before(entry);
    const earlier = { ...was, twist: { ...was.twist, looks: wrong.get(entry) } };
    const sealedBefore = initial.has(entry) || Boolean(entry.madeOff ?? entry.mineral);
    inspect(script, spec, earlier, { round, days: -329, by, reach: 'outside', sealedBefore });
  }
  tellDefects(script, spec, round, [damaged, loose, overdue]);
  for (const entry of chosen) {
    const at = script.at(-328);
    script.add('inspection.seal', { id: script.id(at), entry: entryId(spec, entry), round }, at, by);
  }
  script.add('round.edit', { id: round, set: { closed: script.at(-327) } }, script.at(-327), by);
}

/** Three defects of the earlier round: one was done, one taken and done, one is overdue. */
function tellDefects(
  script: Script,
  spec: SiteSpec,
  round: string,
  [damaged, loose, overdue]: readonly [EntrySpec, EntrySpec, EntrySpec],
): void {
  const raise = (entry: EntrySpec, check: string, action: string) => {
    const at = script.at(-329);
    const id = script.id(at);
    const of = { id, entry: entryId(spec, entry), round, check, grade: 'close' as const };
    script.add('defect.raise', { ...of, photos: [], action, observation: null }, at, 'M. Okonjo');
    return id;
  };
  const first = raise(damaged, 'E-29', 'Clean the seal face, replace the outer seal.');
  const second = raise(loose, 'E-23a', 'Tighten the tag, serrated washer.');
  raise(overdue, 'E-27', 'Terminate the two spare cores.');
  const tarn = 'R. Tarn';
  const edit = (id: string, set: object, days: number) =>
    script.add('defect.edit', { id, set }, script.at(days), tarn);
  edit(first, { owner: tarn, state: 'assigned' }, -320);
  edit(first, { state: 'done' }, -290);
  edit(second, { owner: tarn, state: 'done' }, -325);
}

/** The round that is under way: detailed, some entries not reached yet. */
export function addRound(script: Script, spec: SiteSpec): void {
  const by = 'A. Vell';
  const round = `${spec.prefix}-round-14`;
  const started = script.at(-2);
  const entries = spec.entries.filter(({ work }) => !work).map((entry) => entryId(spec, entry));
  script.add(
    'round.add',
    { id: round, name: 'Round 14', grade: 'detailed', entries, started, closed: null },
    started,
    by,
  );
  const found: [EntrySpec, string][] = [];
  const earlier = new Set(earlierOf(spec));
  spec.entries.forEach((entry, i) => {
    if (entry.read === 'none') return;
    const sealedBefore = earlier.has(entry) || Boolean(entry.madeOff ?? entry.mineral);
    inspect(script, spec, entry, { round, days: i % 2 ? -1 : -2, by, reach: entry.read, sealedBefore });
    // Every second planted fault is logged already; the others wait for somebody to raise them.
    if (i % 2 && entry.planted && entry.read === 'all') found.push([entry, entry.planted[0]!]);
  });
  for (const [entry, check] of found) {
    const at = script.at(-1);
    const id = script.id(at);
    const payload = {
      id,
      entry: entryId(spec, entry),
      round,
      check,
      grade: 'detailed' as const,
      photos: [],
      action: '',
      observation: null,
    };
    script.add('defect.raise', payload, at, by);
  }
}
