/** Changes without a file after which one is advised. */
export const CHANGES_BEFORE_ADVICE = 10;
