package outfell.server.safekeeping;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** A disk that is full when a test says so: every write to a file below "full:" then fails as a full disk's does. */
public final class FullDisk extends FilePathWrapper {
    static volatile boolean full;

    @Override
    public String getScheme() {
        return "full";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return new Channel(getBase().open(mode));
    }

    static void mount() {
        FilePath.register(new FullDisk());
    }

    private static final class Channel extends FileBaseDefault {
        private final FileChannel beneath;

        Channel(FileChannel beneath) {
            this.beneath = beneath;
        }

        @Override
        public int read(ByteBuffer to, long at) throws IOException {
            return beneath.read(to, at);
        }

        @Override
        public int write(ByteBuffer from, long at) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            return beneath.write(from, at);
        }

        @Override
        public long size() throws IOException {
            return beneath.size();
        }

        @Override
        protected void implTruncate(long size) throws IOException {
            beneath.truncate(size);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            beneath.force(metaData);
        }

        @Override
        public java.nio.channels.FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return beneath.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            beneath.close();
        }
    }
}
