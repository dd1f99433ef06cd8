import { parentPort, workerData } from "node:worker_threads";
import { draw, type Drawing } from "./drawing.server";

const port = parentPort;
if (!port) throw new Error("This file runs as a worker thread.");
port.postMessage(new Uint8Array(await draw(workerData as Drawing)));
