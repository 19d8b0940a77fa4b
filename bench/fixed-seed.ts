import fc from 'fast-check';

// Every run meets the same cases: a fault that is found is found again. SEED=… tries others.
fc.configureGlobal({ seed: Number(process.env['SEED'] ?? 20261123) });
