import { ClickRenderer } from "../engine/click-renderer";
import type { ToWorklet } from "../engine/protocol";

/** Thin: hands messages and quanta to the renderer. */
class ClickProcessor extends AudioWorkletProcessor {
  private readonly renderer = new ClickRenderer(sampleRate, (message) =>
    this.port.postMessage(message),
  );

  constructor({ processorOptions }: { processorOptions: { first: readonly ToWorklet[] } }) {
    super();
    for (const message of processorOptions.first) this.renderer.receive(message);
    this.port.postMessage({ kind: "ready" });
    this.port.onmessage = ({ data }: MessageEvent<ToWorklet>) => this.renderer.receive(data);
  }

  process(_inputs: Float32Array[][], [output]: Float32Array[][]): boolean {
    const [first, ...others] = output!;
    this.renderer.render(first!, currentFrame);
    for (const channel of others) channel.set(first!);
    return true;
  }
}

registerProcessor("fidus-click", ClickProcessor);
