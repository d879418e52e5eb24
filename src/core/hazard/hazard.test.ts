import { describe, expect, it } from 'vitest';
import { conceptSuits, foldConcept } from './concept';
import { AREA_GROUPS, groupCovers, type AreaGroup, type Group } from './group';
import { ingressAtLeast, ingressOfConcept, parseIngress } from './ingress';
import { isDust, LEVELS, levelOfConcept, levelsForZone, requiredLevel, ZONES } from './level';
import { worstEntryTemperature } from './temperature';

describe('levels', () => {
  it.each([
    ['0', ['Ga'], 'Ga'],
    ['1', ['Ga', 'Gb'], 'Gb'],
    ['2', ['Ga', 'Gb', 'Gc'], 'Gc'],
    ['20', ['Da'], 'Da'],
    ['21', ['Da', 'Db'], 'Db'],
    ['22', ['Da', 'Db', 'Dc'], 'Dc'],
  ] as const)('zone %s takes %j and asks for %s', (zone, levels, required) => {
    expect(levelsForZone(zone)).toEqual(levels);
    expect(requiredLevel(zone)).toBe(required);
  });
  it('gas marks prove nothing for dust, and the reverse', () => {
    for (const zone of ZONES) {
      for (const level of LEVELS) {
        if (levelsForZone(zone).includes(level)) expect(level.startsWith('D')).toBe(isDust(zone));
      }
    }
  });
  it.each([
    ['ia', 'Ga'],
    ['ma', 'Ga'],
    ['d', 'Gb'],
    ['db', 'Gb'],
    ['e', 'Gb'],
    ['px', 'Gb'],
    ['q', 'Gb'],
    ['n', 'Gc'],
    ['nA', 'Gc'],
    ['ec', 'Gc'],
    ['pz', 'Gc'],
    ['ta', 'Da'],
    ['tb', 'Db'],
    ['tc', 'Dc'],
    ['s', null],
  ])('concept %s implies %s', (concept, level) => expect(levelOfConcept(concept)).toBe(level));
});

describe('groups', () => {
  const covered = (group: Group, flameproof = false): AreaGroup[] =>
    AREA_GROUPS.filter((asked) => groupCovers(group, asked, flameproof));
  it.each([
    ['IIA', ['IIA']],
    ['IIB', ['IIA', 'IIB']],
    ['IIB + H2', ['IIA', 'IIB', 'hydrogen']],
    ['IIC', ['IIA', 'IIB', 'hydrogen', 'IIC']],
    ['IIIA', ['IIIA']],
    ['IIIB', ['IIIA', 'IIIB']],
    ['IIIC', ['IIIA', 'IIIB', 'IIIC']],
    ['I', []],
  ] as [Group, AreaGroup[]][])('%s covers %j', (group, wanted) => expect(covered(group)).toEqual(wanted));
  it('II without a letter covers every gas but not on a flameproof device', () => {
    expect(covered('II')).toEqual(['IIA', 'IIB', 'hydrogen', 'IIC']);
    expect(covered('II', true)).toEqual([]);
  });
});

describe('ingress', () => {
  const atLeast = (has: string, asked: string) => ingressAtLeast(parseIngress(has)!, parseIngress(asked)!);
  it.each([
    ['IP66', 'IP54', true],
    ['IP54', 'IP54', true],
    ['IP54', 'IP66', false],
    ['IP64', 'IP55', false],
    ['IP55', 'IP64', false],
    ['IP66', 'IP6X', true],
    ['IP6X', 'IP65', false],
    ['IP68', 'IP66', false],
    ['IP67', 'IP65', false],
    ['IP67', 'IP64', true],
    ['IP68', 'IP67', true],
    ['IP67', 'IP68', false],
    ['IP69', 'IP66', false],
    ['IP69', 'IP67', false],
    ['IP69', 'IP54', true],
    ['IP66/IP68', 'IP66', true],
    ['IP66/IP68', 'IP67', true],
    ['IP66', 'IP66/IP68', false],
    ['IP66, IP69', 'IP66/IP69', true],
    ['IP6X', 'IP6X', true],
  ])('%s against %s: %s', (has, asked, wanted) => expect(atLeast(has, asked)).toBe(wanted));
  it.each(['IP', 'IP7', 'IP77', 'ip66', 'IP666', '66', ''])('%j is no rating', (text) =>
    expect(parseIngress(text)).toBeNull(),
  );
  it.each([
    ['eb', null, 'IP54'],
    ['ec', null, 'IP54'],
    ['nA', null, 'IP54'],
    ['db', null, null],
    ['px', null, 'IP4X'],
    ['nR', null, 'IP54'],
    ['tc', null, 'IP6X'],
    ['ta', 'IIIA', 'IP6X'],
    ['tb', 'IIIA', 'IP5X'],
    ['tb', 'IIIB', 'IP6X'],
    ['tc', 'IIIB', 'IP5X'],
    ['tc', 'IIIC', 'IP6X'],
  ])('protection %s in %s asks for %s', (concept, group, wanted) =>
    expect(ingressOfConcept(concept, group)).toBe(wanted),
  );
});

describe('concepts', () => {
  it.each([
    ['db', 'd'],
    ['eb', 'e'],
    ['ec', 'e'],
    ['nA', 'n'],
    ['nR', 'nR'],
    ['tb', 't'],
  ])('%s folds onto %s', (concept, letter) => expect(foldConcept(concept)).toBe(letter));

  const suits = (enclosure: string, device: string[], dust = false, sealing = false) =>
    conceptSuits(enclosure, device, dust, sealing).suits;
  it.each([
    ['db', ['db'], true],
    ['db', ['eb'], false],
    ['eb', ['db'], true],
    ['eb', ['eb'], true],
    ['eb', ['nA'], false],
    ['nA', ['eb'], true],
    ['nA', ['nA'], true],
    ['nR', ['nA'], false],
    ['nR', ['nR'], true],
    ['px', ['eb'], true],
  ] as const)('an enclosure in %s takes a device in %j: %s', (enclosure, device, wanted) =>
    expect(suits(enclosure, [...device])).toBe(wanted),
  );
  it('a restricted-breathing enclosure takes an n gland only when it seals', () => {
    expect(suits('nR', ['nA'], false, true)).toBe(true);
  });
  it('dust asks for t, of p and i too', () => {
    for (const enclosure of ['tb', 'px', 'ib']) {
      expect(suits(enclosure, ['db', 'eb'], true)).toBe(false);
      expect(suits(enclosure, ['tb'], true)).toBe(true);
    }
  });
  it('asks for nothing on i in gas, and for the enclosure’s certificate on m, o, q and s', () => {
    expect(suits('ia', [])).toBe('none-asked');
    for (const enclosure of ['mb', 'o', 'q', 's'])
      expect(suits(enclosure, ['db'])).toBe('enclosure-certificate');
  });
});

describe('entry temperature', () => {
  const unmarked = { markedC: null, measured: null };
  it('is measured and carried to the highest ambient, else marked, else assumed', () => {
    expect(worstEntryTemperature({ ...unmarked, measured: { atC: 62, ambientC: 22 } }, 40)).toEqual({
      worstC: 80,
      from: 'measured',
    });
    expect(worstEntryTemperature({ ...unmarked, markedC: 85 }, 40)).toEqual({ worstC: 85, from: 'marked' });
    expect(worstEntryTemperature(unmarked, 40)).toEqual({ worstC: 70, from: 'unmarked' });
  });
});
