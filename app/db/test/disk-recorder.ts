import fs from "node:fs";
import path from "node:path";

/** A file, whatever it is called from time to time. */
interface Inode {
  readonly id: number;
}

type Op =
  | { readonly kind: "create"; readonly inode: Inode; readonly name: string }
  | { readonly kind: "mkdir" | "unlink" | "rmdir"; readonly name: string }
  | { readonly kind: "rename"; readonly from: string; readonly to: string }
  | { readonly kind: "write"; readonly inode: Inode; readonly at: number; readonly bytes: Buffer }
  | { readonly kind: "cut"; readonly inode: Inode; readonly size: number }
  | { readonly kind: "sync"; readonly inode: Inode };

type Fs = typeof fs;

/**
 * Notes everything that is written below a directory, and what is flushed, so that the disk can be
 * laid out as a power cut at any moment might have left it.
 */
export class DiskRecorder {
  readonly ops: Op[] = [];
  private readonly originals: Partial<Record<keyof Fs, unknown>> = {};
  private readonly open = new Map<number, Inode>();
  private readonly names = new Map<string, Inode>();
  private readonly before = new Map<Inode, Buffer>();
  private lastId = 0;

  constructor(private readonly directory: string) {
    for (const entry of fs.readdirSync(directory, { recursive: true, withFileTypes: true })) {
      const name = path.join(entry.parentPath, entry.name);
      if (entry.isDirectory()) this.ops.push({ kind: "mkdir", name });
      else {
        const inode = this.inodeAt(name);
        this.before.set(inode, fs.readFileSync(name));
        this.ops.push({ kind: "create", inode, name });
      }
    }
    this.listen();
  }

  private inside = (name: unknown): name is string =>
    typeof name === "string" && path.resolve(name).startsWith(this.directory);

  private inodeAt(name: string): Inode {
    const known = this.names.get(name);
    if (known) return known;
    const inode = { id: ++this.lastId };
    this.names.set(name, inode);
    return inode;
  }

  /** Calls through to a function of the file system, and notes what it did. */
  private after<A extends readonly unknown[], R>(
    name: keyof Fs,
    note: (args: A, result: R) => void,
  ): void {
    const original = fs[name] as (...args: unknown[]) => unknown;
    this.originals[name] = original;
    (fs as Record<string, unknown>)[name] = (...args: unknown[]) => {
      const result = original(...args);
      note(args as unknown as A, result as R);
      return result;
    };
  }

  private listen(): void {
    this.after("openSync", ([given]: [string], handle: number) => {
      if (!this.inside(given)) return;
      const name = path.resolve(given);
      if (!this.names.has(name) && !fs.statSync(name).isDirectory()) {
        this.ops.push({ kind: "create", inode: this.inodeAt(name), name });
      }
      this.open.set(handle, this.inodeAt(name));
    });
    this.after("closeSync", ([handle]: [number]) => void this.open.delete(handle));
    this.after("writeSync", (args: [number, Uint8Array, number, number, number | null]) => {
      const [handle, buffer, offset, length, at] = args;
      const inode = this.open.get(handle);
      if (!inode) return;
      const bytes = Buffer.from(buffer.slice(offset, offset + length));
      this.ops.push({ kind: "write", inode, at: at ?? 0, bytes });
    });
    this.after("ftruncateSync", ([handle, size]: [number, number]) => {
      const inode = this.open.get(handle);
      if (inode) this.ops.push({ kind: "cut", inode, size });
    });
    this.after("truncateSync", ([given, size]: [string, number]) => {
      if (!this.inside(given)) return;
      this.ops.push({ kind: "cut", inode: this.inodeAt(path.resolve(given)), size });
    });
    this.after("fsyncSync", ([handle]: [number]) => {
      const inode = this.open.get(handle);
      if (inode) this.ops.push({ kind: "sync", inode });
    });
    this.after("renameSync", ([from, to]: [string, string]) => {
      if (!this.inside(from)) return;
      const inode = this.inodeAt(path.resolve(from));
      this.names.delete(path.resolve(from));
      this.names.set(path.resolve(to), inode);
      this.ops.push({ kind: "rename", from: path.resolve(from), to: path.resolve(to) });
    });
    const gone = (kind: "unlink" | "rmdir") => (args: [string]) => {
      if (!this.inside(args[0])) return;
      this.names.delete(path.resolve(args[0]));
      this.ops.push({ kind, name: path.resolve(args[0]) });
    };
    this.after("unlinkSync", gone("unlink"));
    this.after("rmdirSync", gone("rmdir"));
    this.after("mkdirSync", ([given]: [string]) => {
      if (this.inside(given)) this.ops.push({ kind: "mkdir", name: path.resolve(given) });
    });
  }

  /** Gives the file system back. */
  stop(): void {
    for (const [name, original] of Object.entries(this.originals)) {
      (fs as Record<string, unknown>)[name] = original;
    }
  }

  /**
   * Lays out in another directory what may be on the disk when the power goes behind so many
   * operations: of each write that was not flushed by then, whether it is there is left to `kept`.
   */
  layOut(to: string, upTo: number, kept: () => boolean): void {
    const ops = this.ops.slice(0, upTo);
    const flushed = new Map<Inode, number>();
    ops.forEach((op, i) => op.kind === "sync" && flushed.set(op.inode, i));
    const contents = new Map<Inode, Buffer>();
    const files = new Map<string, Inode>();
    const folders = new Set<string>();
    for (const [i, op] of ops.entries()) {
      switch (op.kind) {
        case "create":
          files.set(op.name, op.inode);
          contents.set(op.inode, Buffer.from(this.before.get(op.inode) ?? []));
          break;
        case "mkdir":
          folders.add(op.name);
          break;
        case "rmdir":
          folders.delete(op.name);
          break;
        case "unlink":
          files.delete(op.name);
          break;
        case "rename": {
          const inode = files.get(op.from);
          files.delete(op.from);
          if (inode) files.set(op.to, inode);
          break;
        }
        case "write": {
          const isFlushed = i < (flushed.get(op.inode) ?? -1);
          if (!isFlushed && !kept()) break;
          const old = contents.get(op.inode) ?? Buffer.alloc(0);
          const end = op.at + op.bytes.length;
          const fresh = old.length >= end ? old : Buffer.concat([old], end);
          op.bytes.copy(fresh, op.at);
          contents.set(op.inode, fresh);
          break;
        }
        case "cut": {
          const old = contents.get(op.inode) ?? Buffer.alloc(0);
          contents.set(op.inode, Buffer.concat([old], op.size));
          break;
        }
        case "sync":
      }
    }
    const placed = (name: string) => path.join(to, path.relative(this.directory, name));
    for (const name of folders) fs.mkdirSync(placed(name), { recursive: true, mode: 0o700 });
    for (const [name, inode] of files) {
      fs.mkdirSync(path.dirname(placed(name)), { recursive: true, mode: 0o700 });
      fs.writeFileSync(placed(name), contents.get(inode) ?? Buffer.alloc(0), { mode: 0o600 });
    }
  }
}
