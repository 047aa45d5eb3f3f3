package lobrik.server.photo;

/** A photo made small: a JPEG of so many pixels, upright. */
public final class Shrunk {

    private final byte[] jpeg;
    private final int width;
    private final int height;

    Shrunk(byte[] jpeg, int width, int height) {
        this.jpeg = jpeg.clone();
        this.width = width;
        this.height = height;
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
}
