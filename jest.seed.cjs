const fc = require('fast-check');

/** One seed for all properties: a run says the same today and tomorrow. Another is tried with FC_SEED=… */
fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20_260_504) });
