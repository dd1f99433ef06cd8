export { deviceMicrophone, type Microphone, type NoMicrophone } from "./microphone";
export { simulatedMicrophone } from "./simulated";
