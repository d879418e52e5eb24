import type { KindId } from '../record/kind-ids';
import type { JointId } from '../record/types';
import type { LookQuestion } from './look';
import type { Place } from './place';
import type { Part, Step } from './steps';
import type { Traits } from './traits';

/** One kind of entry. Rules, drawings and views ask for its traits; nobody asks which kind an entry is. */
export interface Kind extends Traits {
  id: KindId;
  /** Parts in the order in which they are slipped on the cable. */
  parts: readonly Part[];
  places: readonly Place[];
  looks: readonly LookQuestion[];
  /** Make-off, in order, with the hold points. */
  steps: readonly Step[];
  /** Joints that its sheet can name a school for. */
  joints: readonly JointId[];
}
