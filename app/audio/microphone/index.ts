export {
  deviceMicrophone,
  MicrophoneMissing,
  type Microphone,
  type NoMicrophone,
} from "./microphone";
export { simulatedMicrophone } from "./simulated";
