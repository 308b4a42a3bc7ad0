#version 330 core
layout(location = 0) in vec3 at;
layout(location = 1) in vec3 normal;
layout(location = 2) in float kind;
uniform mat4 toScreen;
out vec3 world;
out vec3 facing;
flat out int what;
void main() {
  world = at;
  facing = normal;
  what = int(kind + 0.5);
  gl_Position = toScreen * vec4(at, 1.0);
}
