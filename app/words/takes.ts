/** Recording at the stand and playing along with the teacher: what is said of a take, and there. */
export const takes = {
  along: {
    listen: (title: string, bars: string) => `Hear it: ${title}, ${bars}`,
    listenStop: "Stop it",
    turn: "The teacher's playing along",
    phase: {
      off: "",
      loading: "Fetching it …",
      on: "plays along",
      "too-far": "plays along from half to 120 percent of its own tempo",
      broken: "The demonstration can't be played here.",
    },
  },
  take: {
    record: "Record the next play",
    stop: "Don't record",
    phase: {
      opening: "Opening the microphone …",
      armed: "The next play is recorded",
      recording: "Recording",
      closing: "Keeping it …",
    },
    level: { soft: "too soft", fine: "fine", loud: "too loud" },
    planned: (run: number) => `Run ${run} is recorded`,
    kept: (count: number) => (count === 1 ? "1 take kept" : `${count} takes kept`),
    waiting: (count: number) =>
      count === 1 ? "1 take waits to be sent" : `${count} takes wait to be sent`,
    cutOffNow: "The microphone was disconnected. What it heard until then will be saved.",
    cutOff: "The microphone was disconnected. The recording until then is saved.",
    lost: "That take could not be kept. The play counts all the same.",
    missing: {
      refused:
        "The microphone was refused. Everything else works; it can be allowed in the browser's settings of this page.",
      gone: "The microphone was disconnected. Everything else works.",
      none: "No microphone was found, or this browser can't record. Everything else works.",
      "not-kept": "This device can't keep a recording, so none is made. Everything else works.",
      busy: "Another program holds the microphone. Everything else works.",
    },
    sheet: {
      title: "Record the next play",
      planned: (run: number) => `Run ${run} is to be recorded`,
      why: "The browser will ask for the microphone. It listens while a play that you asked for is recorded, and at no other time. You and your teacher can hear the take, nobody else.",
      hear: "I hear the click by",
      headphones: "headphones",
      loudspeaker: "a loudspeaker",
      headphonesTold: "Moderate level, please. Bars are placed by what the device reports: about.",
      clap: "Clap along with eight clicks",
      clapping: "Clap on each click …",
      clapStates: {
        placed: "Heard: bars are placed by your clapping until you leave the stand.",
        lost: "Too few claps were heard on the clicks. Bars are placed by what the device reports; or try again.",
      },
      loudspeakerTold: "The count-in comes back through the microphone, and places the bars.",
      onlyCountIn: "Only the count-in sounds while it is recorded",
      microphone: "Microphone",
      device: "this device's",
      simulated: "a stand-in that plays by itself, to try it out",
      begin: "Record it",
      beginLater: "Record it when it comes",
    },
  },
} as const;
