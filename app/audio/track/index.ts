export { mp3Encoder, wavEncoder } from "./encode";
export { trackMidi } from "./midi";
export { renderTones, renderTrack, TRACK_RATE, type TrackSound } from "./render-track";
export { wavFile, wavHeader, wavSamples } from "./wav";
