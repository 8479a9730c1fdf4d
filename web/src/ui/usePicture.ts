import { useState } from "react";
import { ask, type Trouble } from "../api/client";

const LONGER_SIDE = 1400;

/** A picture at an address of the server: made small here before it is sent. */
export function usePicture(address: string, has: boolean) {
  const [there, setThere] = useState(has);
  const [version, setVersion] = useState(0);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const send = async (method: "PUT" | "DELETE", body?: Blob) => {
    const answer = await ask<undefined>(
      fetch(address, {
        method,
        ...(body ? { body, headers: { "content-type": body.type } } : {}),
      }).then(async (response) =>
        response.ok ? { response } : { error: (await response.json()) as unknown, response },
      ),
    );
    if (answer.status === "ok") {
      setTrouble(null);
      setThere(method === "PUT");
      setVersion((v) => v + 1);
    } else {
      setTrouble(answer.trouble);
    }
  };
  const take = async (file: File) => {
    let small: Blob;
    try {
      small = await smaller(file);
    } catch {
      setTrouble({
        title: "No picture",
        detail: /hei[cf]/i.test(`${file.type} ${file.name}`)
          ? "HEIC pictures cannot be read here. Save it as a JPEG and choose that."
          : "This is not a picture that can be read. Choose a JPEG or PNG.",
        status: 0,
        errors: [],
      });
      return;
    }
    await send("PUT", small);
  };
  return {
    /** Null while there is none. */
    source: there ? `${address}?v=${version}` : null,
    trouble,
    take: (file: File) => void take(file),
    remove: () => void send("DELETE"),
  };
}

/** A large picture made small before it is sent, the right way up. */
async function smaller(file: File): Promise<Blob> {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LONGER_SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error())), "image/jpeg", 0.9),
  );
}
