package outfell.server;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.ShallowEtagHeaderFilter;

/** Marks what rarely changes, so that whoever has it already is told so instead of being sent it again. */
@Component
class RarelyChanged extends ShallowEtagHeaderFilter {
    private static final Set<String> PATHS =
            Set.of("/api/vocabulary", "/api/rules", "/api/methods", "/api/practice/house", "/api/practice");

    RarelyChanged() {
        // a strong mark would forbid that the answer is packed
        setWriteWeakETag(true);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !HttpMethod.GET.matches(request.getMethod()) || !PATHS.contains(request.getRequestURI());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noCache().getHeaderValue());
        super.doFilterInternal(request, response, chain);
    }
}
