// Opened by rules.ts, beside the records.
export { apply } from '../core/commands/apply';
export { assess } from '../core/rulebook/assess';
export { lostWords } from '../core/words/en/lost';
export { withSaid } from '../core/words/en/said';
