import { isFlameproof, type Context } from './dossier';

/** How much a fault of the resin weighs: it is the flame path of a flameproof enclosure. */
export const weight = (context: Context) => (isFlameproof(context) ? 4 : 3);
