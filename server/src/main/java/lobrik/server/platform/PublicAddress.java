package lobrik.server.platform;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Where the codes that are printed lead: to where the request came, unless the school says otherwise. */
@Component
public class PublicAddress {

    private final String said;

    PublicAddress(@Value("${lobrik.public-address:}") String said) {
        this.said = said;
    }

    /** Without a slash at its end; asked while a request is served. */
    public String base() {
        return said.isEmpty()
                ? ServletUriComponentsBuilder.fromCurrentContextPath().toUriString()
                : said;
    }
}
