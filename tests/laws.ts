import fc from "fast-check";

/** A law is tried for this long at most in `npm test`, ms, and at its full size in `npm run bench`; what fails prints its seed. */
const BUDGET_MS = 1500;

fc.configureGlobal({
  ...fc.readConfigureGlobal(),
  ...(process.env["LAW_RUNS"] ? {} : { interruptAfterTimeLimit: BUDGET_MS, markInterruptAsFailure: false }),
});
