import { say } from "../words/say";

/** A photo of a cup is shown no larger, pixels of its longer side. */
const LONGER_SIDE = 1600;
const QUALITY = 0.85;

/**
 * A photo drawn anew, small enough to be sent from a kitchen: upright as it was taken, and without what a camera writes into it,
 * such as where that was.
 *
 * @throws Error in words when it is no picture that this browser can read
 */
export async function redrawn(photo: Blob): Promise<Blob> {
  const seen = await createImageBitmap(photo, { imageOrientation: "from-image" }).catch(() => {
    throw new Error(say("common.thisIsNoPhotoThat"));
  });
  const scale = Math.min(1, LONGER_SIDE / Math.max(seen.width, seen.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(seen.width * scale));
  canvas.height = Math.max(1, Math.round(seen.height * scale));
  canvas.getContext("2d")?.drawImage(seen, 0, 0, canvas.width, canvas.height);
  seen.close();
  return new Promise((done, failed) => {
    canvas.toBlob(
      (small) => (small ? done(small) : failed(new Error(say("common.thePhotoCouldNotBe")))),
      "image/jpeg",
      QUALITY,
    );
  });
}
