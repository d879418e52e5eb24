export * from './steps/step';
export * from './steps/parts';
export * from './steps/before';
export * from './steps/armour';
export * from './steps/filled';
export * from './steps/mineral';
export * from './steps/transits';
