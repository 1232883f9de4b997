export * from './sign-in';
export * from './program';
export * from './catchment';
export * from './method';
export * from './plan';
export * from './visit';
export * from './lab';
export * from './scheme';
