/** Faults in the stand-in watch, its link and its body, and in the command line. */
const watchTest = 'standin/watch/watch.test.ts'

export const devices = [
  {
    what: 'The slot of a run that is over is let go in a write of its own, behind the recording.',
    file: 'standin/watch/watch.ts',
    from: 'kept.keepMemory({ ...(recording ? keepRecording(memory, recording) : memory), running: null })',
    to: 'if (recording) kept.keepMemory(keepRecording(memory, recording))',
    test: watchTest,
  },
  {
    what: 'The power switch is forgotten when the program ends.',
    file: 'standin/watch/kept.ts',
    from: "store.write('case', body)",
    to: '',
    test: watchTest,
  },
  {
    what: 'A watch without power answers.',
    file: 'standin/watch/watch.ts',
    from: 'if (!kept.body().isOn) return null\n  const heard',
    to: 'const heard',
    test: watchTest,
  },
  {
    what: 'A watch without power goes on with its run.',
    file: 'standin/watch/watch.ts',
    from: 'if (!going || !kept.body().isOn) return false',
    to: 'if (!going) return false',
    test: watchTest,
  },
  {
    what: 'A run is not written down when a button is pressed.',
    file: 'standin/watch/kept.ts',
    from: 'if (!isAtOnce && Date.now() - savedAt < saveGoingEvery) return',
    to: 'if (!going || going.state.t > 0) return',
    test: watchTest,
  },
  {
    what: 'The clock of the watch is always right.',
    file: 'standin/watch/kept.ts',
    from: 'now: () => Date.now() + body.clockOff',
    to: 'now: () => Date.now()',
    test: watchTest,
  },
  {
    what: 'Memory is written in place, so that a power cut leaves half of it.',
    file: 'standin/watch/store.ts',
    from: "if ((error as NodeJS.ErrnoException).code === 'ENOENT' || error instanceof SyntaxError) return null",
    to: "if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null",
    test: watchTest,
  },
  {
    what: 'A cut link lets messages through.',
    file: 'standin/watch/link.ts',
    from: 'faults.cutAfter !== null && bytes > faults.cutAfter',
    to: 'false',
    test: watchTest,
  },
  {
    what: 'No message is ever lost.',
    file: 'standin/watch/link.ts',
    from: '!(random.next() < faults.loss)',
    to: '!(random.next() < 0)',
    test: watchTest,
  },
  {
    what: 'A message that comes twice is heard once.',
    file: 'standin/watch/link.ts',
    from: 'random.next() < faults().double ? hear(frame) : first',
    to: 'first',
    test: watchTest,
  },
  {
    what: 'A message that comes late never comes.',
    file: 'standin/watch/link.ts',
    from: 'setTimeout(() => void hear(frame), lateMilliseconds * random.next())',
    to: '',
    test: watchTest,
  },
]
