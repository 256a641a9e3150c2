const { writeFileSync } = require('node:fs');
const Mocha = require('mocha');

/** With DAUER_SLOW=5 what took longer than five seconds is told. */
const SLOW_MS = Number(process.env.DAUER_SLOW ?? Infinity) * 1000;

/** How many lines of a reason the last lines of a run repeat: what was waited for stands in the third. */
const REASON_LINES = 4;

/** Prints only what failed, and leaves the counts for the closing line: with the run, and in a file where one is named. */
module.exports = class Reporter extends Mocha.reporters.Base {
  constructor(runner, options) {
    super(runner, options);
    const counts = { passed: 0, failed: 0, skipped: 0 };
    /** What failed, each with the first line of why: repeated at the end of the whole run. */
    const failures = [];
    runner.on('pass', (test) => {
      counts.passed += 1;
      if (test.duration > SLOW_MS) process.stdout.write(`${(test.duration / 1000).toFixed(1)} s ${test.fullTitle()}\n`);
    });
    runner.on('pending', () => {
      counts.skipped += 1;
    });
    runner.on('fail', (test, error) => {
      counts.failed += 1;
      failures.push(
        `${test.fullTitle()}: ${String(error.message ?? error)
          .split('\n')
          .slice(0, REASON_LINES)
          .join(' ')}`,
      );
      process.stdout.write(
        `FAIL ${test.fullTitle()}\n  ${String(error.stack ?? error)
          .split('\n')
          .slice(0, 12)
          .join('\n  ')}\n`,
      );
    });
    Object.assign(runner, { counts: Object.assign(counts, { failures }) });
    const file = process.env.DAUER_REPORT;
    if (file) runner.on('end', () => writeFileSync(file, JSON.stringify(counts)));
  }
};
