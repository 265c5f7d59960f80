/** Version of the computation. Raised whenever a number could come out differently; frozen into verdicts. */
export const CORE_VERSION = '0.10.1';
