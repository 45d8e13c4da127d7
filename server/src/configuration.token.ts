/** Injection token of the {@link Configuration}. */
export const CONFIGURATION = Symbol('configuration');
