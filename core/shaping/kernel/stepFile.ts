import { KernelRefusal } from '@core/shaping/part';
import { type Kernel, type Shape } from './kernel';
import { scoped } from './scope';

/** A solid to be written, with the name it will carry in the file. */
export interface NamedShape {
  name: string;
  shape: Shape;
}

/**
 * Writes solids as STEP (ISO 10303-21, application protocol 242), millimetres, each a product of its own.
 * Goes through the kernel's own file system in memory. 150 kB of kernel memory stay behind a call.
 *
 * @throws KernelRefusal when the kernel cannot write them.
 */
export function writeStep(kernel: Kernel, bodies: readonly NamedShape[]): Uint8Array {
  const bytes = written(kernel, bodies);
  // A kernel has its settings only once it has written a file: its first one has another schema, and is written again.
  return isOfSchema(bytes) ? bytes : written(kernel, bodies);
}

const SCHEMA = /FILE_SCHEMA\s*\(\s*\(\s*'AP242/;
const HEADER_BYTES = 8192;
const isOfSchema = (bytes: Uint8Array): boolean =>
  SCHEMA.test(new TextDecoder('latin1').decode(bytes.subarray(0, HEADER_BYTES)));

function written(kernel: Kernel, bodies: readonly NamedShape[]): Uint8Array {
  const path = '/spares.step';
  return scoped((scope) => {
    const text = (value: string) => scope.keep(new kernel.TCollection_ExtendedString(value, true));
    const document = scope.keep(new kernel.TDocStd_Document(text('BinXCAF')));
    const main = scope.keep(document.Main());
    kernel.XCAFDoc_DocumentTool.Set(main, true);
    kernel.XCAFDoc_LengthUnit.Set(main, 0.001);
    const shapes = scope.keep(kernel.XCAFDoc_DocumentTool.ShapeTool(main));
    for (const { name, shape } of bodies) {
      const label = scope.keep(shapes.AddShape(shape, false, true));
      kernel.TDataStd_Name.Set(label, text(name));
    }
    kernel.Interface_Static.SetCVal('write.step.schema', 'AP242DIS');
    kernel.Interface_Static.SetCVal('write.step.unit', 'MM');
    const writer = scope.keep(new kernel.STEPCAFControl_Writer());
    writer.SetNameMode(true);
    const isWritten = writer.Perform(document, path, scope.keep(new kernel.Message_ProgressRange()));
    if (!isWritten) throw new KernelRefusal('STEP writing failed');
    const bytes = kernel.FS.readFile(path);
    kernel.FS.unlink(path);
    return bytes;
  });
}

/** Reads all solids of a STEP file as one shape. The caller deletes it. */
export function readStep(kernel: Kernel, bytes: Uint8Array): Shape {
  const path = '/read.step';
  kernel.FS.writeFile(path, bytes);
  return scoped((scope) => {
    const reader = scope.keep(new kernel.STEPControl_Reader());
    const status = reader.ReadFile(path);
    kernel.FS.unlink(path);
    if (status !== 'IFSelect_RetDone') throw new KernelRefusal('not a STEP file');
    reader.TransferRoots(scope.keep(new kernel.Message_ProgressRange()));
    return reader.OneShape();
  });
}
