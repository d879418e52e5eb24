// Opened by rules.ts, beside the records.
import { apply } from '../core/commands/apply';
import { standingOf } from '../core/programme/standing';
import { lostWords } from '../core/words/en/lost';
import { withSaid } from '../core/words/en/said';

const rules = { apply, standingOf, lostWords, withSaid };
export default rules;
