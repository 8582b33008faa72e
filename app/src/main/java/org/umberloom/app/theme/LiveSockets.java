package org.umberloom.app.theme;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where sockets are opened. Only pages of the application's own origin may: that is what the framework allows unless told. */
@Configuration
@EnableWebSocket
class LiveSockets implements WebSocketConfigurer {
    private final LiveProbes probes;

    LiveSockets(LiveProbes probes) {
        this.probes = probes;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(probes, LiveProbes.PATH).addInterceptors(LiveProbes.remembering());
    }
}
