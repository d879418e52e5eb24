// Opened by copy.ts where a part of a large site is here: no page of a small one loads it.
import { isWhole, joined } from '../core/record/closure';
import { partNews } from '../core/record/part';

const parts = { isWhole, joined, partNews };
export default parts;
