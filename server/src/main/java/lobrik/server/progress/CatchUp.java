package lobrik.server.progress;

import lobrik.server.together.OneServer;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * At the start, after the first contents: works out what pieces came to, where that is not known by the rules in force. A small
 * record is done before anybody is let in; a large one beside the work, and the screens say so.
 */
@Component
@Order(CatchUp.AFTER_FIRST_CONTENTS)
class CatchUp implements ApplicationRunner {

    static final int AFTER_FIRST_CONTENTS = 2;

    private static final long SMALL = 2_000;

    private final OutcomeBook book;
    private final OneServer servers;

    CatchUp(OutcomeBook book, OneServer servers) {
        this.servers = servers;
        this.book = book;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        long behind = book.behind();
        if (behind > SMALL) {
            Thread.ofPlatform().name("catching-up").daemon().start(this::catchUp);
        } else if (behind > 0) {
            catchUp();
        }
    }

    /** Unless another server is at it, or was meanwhile. */
    private void catchUp() {
        boolean _ = servers.does("catching up", () -> {
            long behind = book.behind();
            if (behind > 0) {
                book.catchUp(behind);
            }
        });
    }
}
