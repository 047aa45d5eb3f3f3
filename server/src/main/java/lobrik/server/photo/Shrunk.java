package lobrik.server.photo;

/** A photo made small: a JPEG of so many pixels, upright. */
public final class Shrunk {

    private final byte[] jpeg;
    private final int width;
    private final int height;
    private final String digest;

    Shrunk(byte[] jpeg, int width, int height, String digest) {
        this.jpeg = jpeg.clone();
        this.width = width;
        this.height = height;
        this.digest = digest;
    }

    public byte[] jpeg() {
        return jpeg.clone();
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** SHA-256 of what was sent, in hexadecimal. */
    public String digest() {
        return digest;
    }
}
