/* What can be told of the sources without running them: their form, and the rules they keep. */
import { runTool } from './setup.mjs';

runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']);
runTool('eslint/bin/eslint.js', ['.']);
