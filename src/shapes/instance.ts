import { plainToInstance } from 'class-transformer';
import { getMetadataStorage } from 'class-validator';

/** What class-validator keeps of a field; of its kinds only the one that goes into an object is of interest here. */
type Known = ReturnType<ReturnType<typeof getMetadataStorage>['getTargetValidationMetadatas']>;

const storage = getMetadataStorage();
const asked = storage.getTargetValidationMetadatas.bind(storage);
const grouped = storage.groupByPropertyName.bind(storage);
const known = new Map<unknown, Known>();
const groups = new WeakMap<Known, ReturnType<typeof grouped>>();

// The shapes of this program have no groups, and none changes once it is declared: what the library searches for
// at every value, through all classes, is kept. That was a third of the time that a checked command took.
storage.getTargetValidationMetadatas = (target, schema, always, strict, names) => {
  if (schema || always || strict || names?.length) return asked(target, schema, always, strict, names);
  let one = known.get(target);
  if (!one) known.set(target, (one = asked(target, schema, always, strict, names)));
  return one;
};
storage.groupByPropertyName = (list) => {
  let one = groups.get(list);
  if (!one) groups.set(list, (one = grouped(list)));
  return one;
};

const flat = new Map<unknown, boolean>();

/** Whether no field of a shape holds a shape of its own. */
function isFlat(Shape: new () => object): boolean {
  let one = flat.get(Shape);
  if (one === undefined) {
    const fields = storage.getTargetValidationMetadatas(Shape, undefined as never, false, false);
    flat.set(Shape, (one = fields.every(({ type }) => type !== 'nestedValidation')));
  }
  return one;
}

/** A plain value as an object of its class, which class-validator looks at. */
export const instanceOf = (Shape: new () => object, value: object): object =>
  isFlat(Shape) ? Object.assign(new Shape(), value) : plainToInstance(Shape, value);
