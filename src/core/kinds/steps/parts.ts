import { part, type Part } from './step';

export const SHROUD_PART: Part = { ...part('shroud'), shroud: true };
export const BACK_NUT = part('back-nut');
export const MIDDLE_NUT = part('middle-nut');
export const RING_EITHER = part('ring');
export const RING_TURNED = part('ring', 'ring-turned');
export const RING_OWN = part('ring', 'ring-own');
export const TAG_PART = part('tag');
export const FAR_SHROUD = part('shroud-far');
export const BACK_NUT_MI = part('back-nut', 'gland-nut');
export const COMPRESSION = part('ring', 'compression-ring');
export const GLAND_BODY = part('body');
