// Opened by rules.ts, beside the records.
import { apply } from '../core/commands/apply';
import { assess } from '../core/rulebook/assess';
import { lostWords } from '../core/words/en/lost';
import { withSaid } from '../core/words/en/said';

const rules = { apply, assess, lostWords, withSaid };
export default rules;
