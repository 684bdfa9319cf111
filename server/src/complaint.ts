/** Something that the operator can mend, told in one sentence with no trace of the program. */
export class Complaint extends Error {}

/**
 * Runs a command to its end. What the operator can mend is told in its one sentence, and the exit code is 2;
 * anything else is ours, and leaves its trace.
 */
export async function complainingly(run: () => Promise<void>): Promise<void> {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof Complaint)) throw error;
    console.error(error.message);
    process.exitCode = 2;
  }
}
