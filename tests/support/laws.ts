import fc from 'fast-check'

/** Laws run on the same cases each time, so that a test run judges the change and not the draw; `LAW_SEED=random` draws afresh. */
if (process.env.LAW_SEED !== 'random') fc.configureGlobal({ seed: Number(process.env.LAW_SEED ?? 20_260_330) })
