import { Stage } from '../looks/stage';
import { circle, rectangle } from '../shapes';

/** What of an entry a picture of the handling depends on. */
export interface Seen {
  /** Cores that are drawn; four where the cable has more or nobody wrote them down. */
  cores: number;
}

export type Draw = (s: Stage, seen: Seen) => unknown;

/** Height of the axis. Chosen: the middle of the paper. */
export const MID = 20;

/** A cable from the right, stripped towards the left: sheath, armour, inner sheath, cores. */
export const cable = (s: Stage, { sheath = 40, armour = 28, inner = 18 } = {}): Stage =>
  s
    .box('sheath-inner', inner, MID - 4.5, 60, MID + 4.5)
    .box('armour', armour, MID - 6, 60, MID + 6)
    .box('sheath-outer', sheath, MID - 7.5, 60, MID + 7.5);

/** Cores that leave a crotch towards the left, apart by some angle. */
export function fan(s: Stage, { cores }: Seen, crotch: number, apart: number): Stage {
  for (let i = 0; i < cores; i++) {
    const across = (i - (cores - 1) / 2) * 2.6;
    const end = MID + across * (1 + apart);
    s.polygon('core', [[crotch, MID + across - 1], [4, end - 1], [4, end + 1], [crotch, MID + across + 1]], undefined, i); // prettier-ignore
  }
  return s;
}

/** A blade at a place of the cable, and the way that it goes: away from the hand. */
export const knife = (s: Stage, x: number): Stage => {
  s.shape('brass', [[x, 11], [x - 2, 12.5], [x - 2, 3], [x + 2, 1], [x + 2, 9]]); // prettier-ignore
  return s
    .arrow([x - 5, 6], [x - 15, 6])
    .say('away from the body', x < 32 ? x + 4 : x - 6, 3.6, x < 32 ? 'start' : 'end');
};

/** A ring cut: a line all round, and the cutter’s turn. */
export const ringCut = (s: Stage, x: number): Stage =>
  s.path([[x, MID - 9], [x, MID + 9]], 2, 'void').turn(x, MID, 13); // prettier-ignore

/** A block of two halves round its cable, seen from the end. */
export function block(s: Stage, x: number, y: number, half: number, layers = 3): void {
  s.box('rubber', x - half, y - half, x + half, y + half);
  for (let i = 1; i <= layers; i++) {
    const ring = circle(x, y, (half - 1.5) * (0.42 + (0.5 * i) / layers));
    s.path([...ring, ring[0]!], 0.7, 'air');
  }
  s.path([[x - half, y], [x + half, y]], 1, 'air').disc('sheath-outer', x, y, (half - 1.5) * 0.42); // prettier-ignore
}

/** Rows of blocks between plates in a frame; what is missing at the top stays empty. */
export function rows(s: Stage, full: number): void {
  s.box('wall', 4, 1, 56, 39).box('air', 8, 4, 52, 37);
  for (let r = 0; r < full; r++) {
    for (let c = 0; c < 4; c++) block(s, 13.5 + c * 11, 31 - r * 11.6, 4.8, 2);
    s.box('brass', 8, 25.2 - r * 11.6 + 0.2, 52, 26 - r * 11.6);
  }
}

export const bundle = (s: Stage, x: number, y: number): Stage => {
  for (const [dx, dy] of [[-2.4, -2], [2.4, -2], [0, 2.2]] as const) s.shape('rubber', circle(x + dx, y + dy, 2.2)); // prettier-ignore
  return s.path(circle(x, y, 5.4), 1, 'armour');
};

/** The opening of a duct from the side: cables through it, sleeves between them. */
export const duct = (s: Stage): Stage =>
  s
    .box('wall', 14, 1, 40, 7)
    .box('wall', 14, 33, 40, 39)
    .box('sheath-outer', 2, 12, 58, 15)
    .box('sheath-outer', 2, 24, 58, 27);

export const sleeves = (s: Stage, from: number): void => {
  for (const y of [8, 16.5, 20.5, 28.5]) s.box('rubber', from, y, from + 16, y + 2.8);
};

/** A pot in section round its cores, compound in it. */
export function pot(s: Stage, seen: Seen, filled: number): void {
  s.box('brass', 22, 6, 46, 10).box('brass', 22, 30, 46, 34);
  fan(s, seen, 48, 0.6);
  if (filled > 0) s.shape('compound', rectangle(46 - 22 * filled, 10, 46, 30));
  s.box('sheath-inner', 46, MID - 5, 60, MID + 5);
}

export function corrugated(s: Stage): Stage {
  s.box('sheath-inner', 4, MID - 5, 60, MID + 5);
  for (let x = 22; x < 44; x += 3)
    s.box('armour', x, MID - (x % 2 ? 7.5 : 6.5), x + 3, MID + (x % 2 ? 7.5 : 6.5));
  return s.box('sheath-outer', 44, MID - 8.5, 60, MID + 8.5);
}
