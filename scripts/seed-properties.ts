import fc from 'fast-check';

/**
 * Properties draw the same cases in every run of `npm test`, so that a change is judged by what it changes;
 * `npm run soak` draws new ones, and names the seed of what fails. Where only whether something fails is asked
 * (`npm run mutate`), no smaller case is looked for and each property gets half a second: the score is then what
 * the tests see at least.
 */
const isFirstFailureEnough = process.env.FIRST_FAILURE !== undefined;

fc.configureGlobal({
  seed: Number(process.env.SEED ?? 20_261_125),
  endOnFailure: isFirstFailureEnough,
});
if (isFirstFailureEnough) fc.installGlobalPlugin(fc.interruptAfterTimeLimit(500));
