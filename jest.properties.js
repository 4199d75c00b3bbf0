const fc = require('fast-check');

// One seed, so that the same commit always gives the same verdict; `SEED=7 npm run unit` looks elsewhere.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1) });
